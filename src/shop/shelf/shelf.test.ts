import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it, vi } from "vitest";
import { importFile, importPreview } from "@/shop/parts/catalogue-import";
import { addPoint, makeChamber, takeLube } from "@/stages/lube/actions";
import { lubeView } from "@/stages/lube/lube-view";
import { press, pumpAt } from "@/stages/test-unit";
import { jobHistory } from "@/store/change";
import { database } from "@/store/database";
import { lastImports, undoImport } from "@/store/imports";
import { greasesOnShelf, wholeShelf } from "@/store/shelf";
import { job, testShop } from "@/store/test-shop";
import { saveGrease } from "./actions";
import { shelfView } from "./shelf-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
const folder = mkdtempSync(join(tmpdir(), "shelf-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const cells = {
  name: "Skarn B2",
  thickener: "LiX",
  base_oil: "mineral",
  nlgi: "2",
  from_c: "-20",
  to_c: "130",
  lot: "A1",
};
const saved = async (id: string | null, more: Record<string, string>): Promise<string> => {
  const answer = await saveGrease({ id, cells: { ...cells, ...more } });
  return answer.ok ? answer.key : `${answer.field}: ${answer.says}`;
};

describe("the shelf of a shop that starts empty", () => {
  it("is filled in by hand, and Lube chooses from it", async () => {
    const number = await pumpAt("lube");
    await press(makeChamber, number, { kind: "gear-case" });
    await press(addPoint, number, { chamber: "c1", kind: "gear-teeth", part: "p2" });
    const verdicts = async () =>
      (await lubeView(number))?.chambers[0]?.plan?.answer?.verdicts.map((v) => v.lubricant);
    expect(await verdicts()).toEqual([]);
    const id = await saved(null, {});
    expect(await verdicts()).toEqual([id]);
    expect((await shelfView()).greases).toMatchObject([{ id, retired: false, cells }]);
  });
  it("has each name once, and says where a form is wrong", async () => {
    expect(await saved(null, {})).toBe("name: Skarn B2 is on the shelf already.");
    expect(await saved(null, { name: "Skarn B0", nlgi: "" })).toBe("nlgi: Is missing.");
    expect(await saved(null, { name: "Skarn B0", to_c: "-90" })).toBe(
      "to_c: Must be above the lowest temperature.",
    );
    expect(await saved("no such", { name: "Skarn B0" })).toBe(": That grease is not on the shelf any more.");
    expect(await wholeShelf()).toHaveLength(1);
  });
  it("is changed, emptied of a fact, and retired: then it is offered no more, but known", async () => {
    const [grease] = await wholeShelf();
    const id = grease?.id ?? "";
    expect(await saved(id, { name: "Skarn B-2", lot: "", stock_g: "380,5" })).toBe(id);
    expect(await wholeShelf()).toEqual([
      {
        id,
        name: "Skarn B-2",
        thickener: "LiX",
        baseOil: "mineral",
        nlgi: 2,
        h1: false,
        leastC: -20,
        mostC: 130,
        stockG: 380.5,
      },
    ]);
    await saved(id, { name: "Skarn B-2", retired: "yes" });
    expect(await greasesOnShelf()).toEqual([]);
    expect((await shelfView()).greases[0]).toMatchObject({ id, retired: true });
    await saved(id, {});
  });
});

describe("what the shelf says anew", () => {
  it("reaches the jobs that have taken it: its name, and what it may not go into any more; a job that went home keeps what it got", async () => {
    const id = (await wholeShelf())[0]?.id ?? "";
    const taken = async (): Promise<string> => {
      const number = await pumpAt("lube");
      await press(makeChamber, number, { kind: "gear-case" });
      await press(addPoint, number, { chamber: "c1", kind: "gear-teeth", part: "p2" });
      await press(takeLube, number, { chamber: "c1", lubricant: id });
      return number;
    };
    const [here, home] = [await taken(), await taken()];
    await (await database())("jobs")
      .where({ number: home })
      .update({ handed_back_at: "2026-11-24T08:00:00.000Z" });
    const got = async (number: string) => {
      const { chambers, lubePoints } = await job(number);
      return [chambers?.[0]?.lubricant, lubePoints[0]?.lubricant];
    };
    expect(await got(here)).toEqual([id, "Skarn B2"]);
    await saved(id, { name: "Skarn B2 new" });
    expect(await got(here)).toEqual([id, "Skarn B2 new"]);
    // 5 degrees are taken for granted as the coldest
    await saved(id, { name: "Skarn B2 new", from_c: "20" });
    expect(await got(here)).toEqual([undefined, undefined]);
    expect(
      (await jobHistory(here)).some((h) =>
        h.what.includes("the shelf says anew what Skarn B2 new is; a hard rule forbids now"),
      ),
    ).toBe(true);
    expect(await got(home)).toEqual([id, "Skarn B2"]);
    await saved(id, {});
  });
});

describe("a table of greases", () => {
  const table = (text: string): string => {
    const path = join(folder, "greases.csv");
    writeFileSync(path, text);
    return path;
  };
  it("is looked through, taken in by the names, and taken back", async () => {
    const [before] = await wholeShelf();
    const path = table(
      "name;thickener;base_oil;nlgi;from_c;to_c;h1;lot\nSkarn B2;lithium complex;mineral;2;-20;130;;B7\nOlmen F0;AlX;PAO;0;-30;120;yes;\nBad one;soap;PAO;0;1;2;;\n",
    );
    const report = await importPreview(path);
    expect(report).toMatchObject({
      table: "greases",
      rows: 3,
      added: 1,
      changed: 1,
      faulty: 1,
      faults: [{ row: 4, column: "thickener" }],
    });
    expect(await wholeShelf()).toHaveLength(1);
    await importFile(path, "greases.csv");
    const [olmen, skarn] = await wholeShelf();
    expect(olmen).toMatchObject({ name: "Olmen F0", h1: true, nlgi: 0 });
    // who knew it by its id still does
    expect(skarn).toEqual({ ...before, lot: "B7" });
    const [last] = await lastImports();
    expect(await undoImport(last?.id ?? 0)).toEqual({ back: 2, stayed: 0 });
    expect(await wholeShelf()).toEqual([before]);
  });
});
