import { describe, expect, it, vi } from "vitest";
import { readGuideFile } from "@/core/memory/guide-file";
import { NOTHING_WRITTEN } from "@/core/memory/written-guide";
import { ownAssemblies, saveOwnAssembly, strikeOwnAssembly } from "@/store/assemblies";
import { jobHistory } from "@/store/change";
import { takeInGuide } from "@/store/guides";
import { testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../../test-unit";
import { ghostFor } from "../ghost-for";
import { sayInGuide } from "./actions";
import { guideOfModel } from "./guide-of";
import { modelView } from "./model-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();

/** A label embosser on the bench. */
const embosser = (model: string, steps: readonly object[] = []) =>
  pumpAt("strip", {
    unit: { kind: "label embosser", maker: "Tivven", model, supply: "hand" },
    parts: steps.length ? [{ id: "p1", name: "wheel", kind: "gear" }] : [],
    steps,
    lubePoints: [],
    services: [],
  });
const STEPS = [
  {
    id: "s1",
    action: "unscrew",
    title: "Lid",
    parts: [],
    needs: [],
    hardware: [{ id: "h1", kind: "screw", qty: 2, thread: "M3" }],
    tools: ["PH1"],
  },
  { id: "s2", action: "pull", parts: ["p1"], needs: ["s1"], note: "sits tight" },
];
const guide = async (number: string) => {
  const found = await modelView(number);
  if (!found) throw new Error(`no ${number}`);
  return found;
};

describe("the guide of a model", () => {
  it("is learnt from the first unit already, and what is written into it comes along with the next", async () => {
    const first = await embosser("Dial 1", STEPS);
    expect(await guide(first)).toMatchObject({ alone: true, version: 0 });
    const said = [{ step: "wheel", when: "after" as const, says: "turn it until it meshes" }];
    expect(
      await press(sayInGuide, first, { guide: 0, written: { ...NOTHING_WRITTEN, said }, says: "at wheel" }),
    ).toMatchObject({ ok: true });
    expect(
      refusal(await press(sayInGuide, first, { guide: 0, written: NOTHING_WRITTEN, says: "nothing" })),
    ).toMatch(/somebody wrote into this guide meanwhile/i);
    expect((await jobHistory(first))[0]?.what).toBe("the model's guide: at wheel");
    const second = await embosser(" dial 1");
    expect((await ghostFor(second))?.steps[1]?.facts.back).toEqual([
      { when: "after", says: "turn it until it meshes" },
    ]);
    expect((await guide(second)).guide.steps[1]?.said.map((s) => s.says)).toEqual([
      "sits tight",
      "turn it until it meshes",
    ]);
  });

  it("goes to another shop as a file, and the first unit there is held against it", async () => {
    const from = await embosser("Dial 2", STEPS);
    await press(sayInGuide, from, {
      guide: 0,
      written: { ...NOTHING_WRITTEN, tools: ["wedge"] },
      says: "wedge",
    });
    const file = readGuideFile(JSON.parse(JSON.stringify(await guideOfModel(from))));
    expect(file).toMatchObject({
      model: { maker: "Tivven", model: "Dial 2" },
      units: [{ strip: { from: `The shop ${from}` } }],
    });
    // as the other shop, which never had one: another model stands for it here
    const there = await embosser("Dial 2 export");
    expect(await ghostFor(there)).toBeNull();
    await takeInGuide(there, file);
    await takeInGuide(there, file);
    expect((await ghostFor(there))?.steps.map((s) => s.title)).toEqual(["Lid", "wheel"]);
    expect(await guide(there)).toMatchObject({
      alone: false,
      guide: { from: [`The shop ${from}`], tools: [{ tool: "PH1" }, { tool: "wedge" }] },
    });
    // at home it brings nothing new
    await takeInGuide(from, file);
    expect((await guide(from)).guide.from).toEqual([from]);
  });

  it("takes along what the shop wrote of how it goes together, and lays it beside what is there", async () => {
    const own = {
      id: "shop-wheel",
      says: "an embossing wheel",
      when: { kinds: ["gear" as const] },
      adds: [{ act: "mind" as const, moment: "while" as const, says: "Letters to the window." }],
      source: "this shop",
    };
    await saveOwnAssembly(own);
    await saveOwnAssembly({ ...own, id: "shop-belt", when: { kinds: ["belt"] } });
    const from = await embosser("Dial 3", STEPS);
    const file = readGuideFile(JSON.parse(JSON.stringify(await guideOfModel(from))));
    // only what this unit calls for
    expect(file.assemblies).toEqual([own]);
    await strikeOwnAssembly(own.id);
    const there = await embosser("Dial 3 export");
    await takeInGuide(there, file);
    expect((await jobHistory(there))[0]?.what).toMatch(
      /one strip; how it goes together: an embossing wheel$/,
    );
    expect((await ownAssemblies()).map((a) => a.id)).toEqual(["shop-belt", "shop-wheel"]);
    // what is there already stays as it is
    await takeInGuide(there, { ...file, assemblies: [{ ...own, says: "another" }] });
    expect((await ownAssemblies()).map((a) => a.says)).not.toContain("another");
  });

  it("is of a model that somebody knows", async () => {
    const nobody = await embosser("unknown", STEPS);
    expect(
      refusal(await press(sayInGuide, nobody, { guide: 0, written: NOTHING_WRITTEN, says: "nothing" })),
    ).toMatch(/say at Take in which one it is/i);
  });
});
