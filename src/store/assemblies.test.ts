import { describe, expect, it } from "vitest";
import { planOf } from "@/core/gates/job-facts";
import type { Assembly } from "@/core/job/assembly";
import { checkKey, DOES_NOT_APPLY } from "@/core/job/keys";
import { ownAssemblies, saveOwnAssembly, strikeOwnAssembly } from "./assemblies";
import { currentJob } from "./job";
import { createJob } from "./jobs";
import { setLine } from "./rebuild";
import { layDown } from "./strip";
import { faultOf, step, testShop } from "./test-shop";

testShop();

const gap: Assembly = {
  id: "shop-fan-gap",
  says: "a fan on its flats",
  when: { joints: ["flats"] },
  adds: [
    { act: "mind", moment: "while", says: "Leave 1 mm behind it." },
    {
      act: "look",
      moment: "on",
      key: "shop-fan-gap-2",
      asks: "Is 1 mm left?",
      ifNot: "Draw it back.",
      because: "it grows",
    },
  ],
  source: "this shop",
};
const flats = step({
  parts: [{ name: "fan", kind: "fan" }],
  remarks: [{ about: "seat", says: "two flats on the shaft" }],
  key: undefined,
});
const checks = async (number: string): Promise<string[]> => {
  const job = await currentJob(number);
  return job ? planOf(job).steps.flatMap((l) => (l.kind === "check" ? [l.check] : [])) : [];
};

describe("what a shop knows of how things go together", () => {
  it("stands at the next line that it applies to, in jobs that are open already, until it is struck", async () => {
    const number = await createJob({ kind: "blower" });
    await layDown(number, 1, flats);
    expect(await checks(number)).toEqual(["turns-freely"]);
    await saveOwnAssembly(gap);
    expect(await checks(number)).toEqual(["shop-fan-gap-2", "turns-freely"]);
    await strikeOwnAssembly(gap.id);
    expect([await ownAssemblies(), await checks(number)]).toEqual([[], ["turns-freely"]]);
  });

  it("is refused under the name of a usual one, or with its question", async () => {
    expect(await faultOf(saveOwnAssembly({ ...gap, id: "hooks" }))).toMatch(/one of the usual ones/);
    const asked = { ...gap, adds: [{ ...gap.adds[1], key: "pin-equal" }] } as Assembly;
    expect(await faultOf(saveOwnAssembly(asked))).toMatch(/pin-equal is asked already/);
  });

  it("what was said twice not to apply to a kind of unit is asked of that kind no more", async () => {
    const line = checkKey("turns-freely", "s1");
    const strip = async (kind: string): Promise<[string, number]> => {
      const number = await createJob({ kind });
      return [number, await layDown(number, 1, flats)];
    };
    for (let k = 0; k < 2; k++) {
      const [number, version] = await strip("blower");
      expect(await checks(number)).toEqual(["turns-freely"]);
      await setLine(number, version, line, true, "does not apply", DOES_NOT_APPLY);
    }
    const [third] = await strip("Blowers ");
    expect(await checks(third)).toEqual([]);
    const [other] = await strip("mill");
    expect(await checks(other)).toEqual(["turns-freely"]);
  });
});
