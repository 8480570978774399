import { describe, expect, it } from "vitest";
import { database } from "./database";
import { askedWords, findJobs } from "./find-jobs";
import { forgetInJob } from "./forget";
import { createJob, jobVersion, setHead } from "./jobs";
import { setFinding } from "./judge";
import { layDown } from "./strip";
import { step, testShop } from "./test-shop";

testShop();

const numbers = async (typed: string): Promise<string[]> => (await findJobs(typed)).map((j) => j.number);
const version = async (number: string): Promise<number> => (await jobVersion(number)) ?? 0;

describe("one box finds any job", () => {
  it("by number with and without its zeros, unit, serial number, customer, part and its numbers; all words, each begun", async () => {
    const mill = await createJob({
      kind: "flour mill",
      maker: "Velbrant",
      model: "Mola 3",
      serial: "VM-4711",
      customerName: "Jörg Łukasz",
      complaint: "grinds unevenly",
    });
    const press = await createJob({
      kind: "tofu press",
      maker: "Velbrant",
      model: "Presto",
      customerName: "Dora Finch",
    });
    await layDown(mill, "any", step({ parts: [{ name: "crown wheel", kind: "gear" }] }));
    await setFinding(mill, await version(mill), "p1", { mode: "worn" });
    await (await database())("findings")
      .where({ part: "p1" })
      .update({ chosen: "VLB-42-242", read_number: "8803-B" });
    for (const typed of [
      mill,
      mill.replace("J-", ""),
      String(Number(mill.slice(2))),
      "mola",
      "MOLA vel",
      "4711",
      "vm-47",
      "jorg",
      "crown whe",
      "vlb-42-242",
      "8803",
      "uneven",
      "flour mill mola 4711",
    ])
      expect([typed, await numbers(typed)]).toEqual([typed, [mill]]);
    expect(await numbers("velbrant")).toEqual([press, mill]);
    expect(await numbers("velbrant crown")).toEqual([mill]);
    for (const typed of ["", "  ", "-", "*\"'", "zzz", "mola finch"])
      expect([typed, await numbers(typed)]).toEqual([typed, []]);
  });

  it("follows what is changed, and a customer who is forgotten is found no more, nor is left in the file", async () => {
    const number = await createJob({ kind: "ice shaver", customerName: "Severin Quast", serial: "A1" });
    await setHead(number, await version(number), { serial: "B2" }, "serial");
    expect(await numbers("B2 shaver")).toEqual([number]);
    expect(await numbers("A1 shaver")).toEqual([]);
    expect(await numbers("quast")).toEqual([number]);
    const db = await database();
    const inIndex = async (): Promise<number> =>
      (await db.raw("select count(*) as n from job_words_data where instr(hex(block), hex('quast')) > 0"))[0]
        .n;
    expect(await inIndex()).toBeGreaterThan(0);
    await forgetInJob(number);
    expect(await numbers("quast")).toEqual([]);
    expect(await inIndex()).toBe(0);
  });

  it("takes whatever is typed for words", () => {
    expect(askedWords('O\'Neill "x" OR')).toBe('"O"* AND "Neill"* AND "x"* AND "OR"*');
    expect(askedWords("…")).toBeNull();
  });
});
