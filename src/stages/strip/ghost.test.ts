import fc from "fast-check";
import { describe, expect, it, vi } from "vitest";
import { gatesOf } from "@/core/gates/job-facts";
import { jobFileOf } from "@/core/job/job-file-of";
import { follow, type Ghost } from "@/core/memory/ghost";
import { EMPTY, type OpenStep } from "@/core/recorder/open-step";
import { createJob } from "@/store/jobs";
import { setFinding } from "@/store/judge";
import { job, testShop } from "@/store/test-shop";
import { press } from "../test-unit";
import { answerSafety, layStepDown, setStripFinished } from "./actions";
import { asLastTime } from "./as-recorded-last";
import { ghostFor } from "./ghost-for";
import { recordedOnItsWay } from "./laying";
import { modelView } from "./model/model-view";
import { stripView } from "./strip-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
type Step = Parameters<typeof layStepDown>[0]["step"];
let nth = 0;
/** A bubble machine on the bench, its safety gate answered. */
const machine = async (model = `Froth ${nth}`): Promise<string> => {
  const number = await createJob({
    kind: "bubble machine",
    supplies: ["battery"],
    hazards: [],
    maker: "Ullenby",
    model,
    complaint: "stands",
    consent: true,
    stage: "strip",
  });
  for (const { gate } of gatesOf(await job(number), "strip"))
    if (gate.startsWith("safety:")) await press(answerSafety, number, { gate: gate.slice(7) });
  return number;
};
const lay = async (number: string, open: OpenStep): Promise<void> => {
  expect(
    await press(layStepDown, number, { editing: null, step: recordedOnItsWay({ open, at: 0 }) as Step }),
  ).toMatchObject({ ok: true });
};
const strip = async (number: string, said: readonly Partial<OpenStep>[]): Promise<void> => {
  for (const s of said) await lay(number, { ...EMPTY, key: `k${++nth}`, ...s });
};
const view = async (number: string) => {
  const found = await stripView(number);
  if (!found || !("recorder" in found)) throw new Error("no recorder");
  return found;
};
/** Presses the one key until there is nothing more that was there the last time. */
async function confirmed(number: string): Promise<void> {
  const ghost = (await ghostFor(number)) as Ghost;
  for (;;) {
    const { pockets } = await view(number);
    const { found, next } = follow(ghost.steps, pockets);
    const g = next === undefined ? undefined : ghost.steps[next];
    if (!g) return;
    await lay(number, asLastTime(g, ghost, found, pockets));
  }
}
/** What a job's file says of its strip, without the clock's minutes. */
const written = async (number: string) => {
  const { parts, steps } = jobFileOf(await job(number));
  return { parts, steps: steps.map(({ minutes: _, ...s }) => s) };
};

describe("a second unit of a model", () => {
  it("is offered the last one's strip, step by step, with what was said of it", async () => {
    const model = "Froth 9";
    const first = await machine(model);
    await strip(first, [
      {
        what: "wand cover",
        line: "3x PH1 8 ST2.9 corners",
        facts: { facing: "vents up", back: [{ when: "before", says: "felt in first" }] },
      },
      { what: "wand, felt", line: "1 washer 6" },
    ]);
    // however it is written
    const second = await machine("froth 9 ");
    expect((await view(second)).recorder.ghostFrom).toBe(first);
    expect((await ghostFor(second))?.steps).toMatchObject([
      {
        title: "wand cover",
        hardware: [{ kind: "screw", qty: 3, at: "corners" }],
        facts: { facing: "vents up", back: [{ says: "felt in first" }] },
      },
      { title: "wand, felt", what: "wand, felt", needs: ["s1"] },
    ]);
    await confirmed(second);
    await press(setStripFinished, second, { finished: true });
    expect((await view(second)).recorder.ghostFrom).toBeUndefined();
  });

  it("tells beforehand what its units took, which order is forced, what was said and what failed", async () => {
    const model = "Froth 11";
    const first = await machine(model);
    expect((await modelView(first))?.guide).toMatchObject({ from: [], steps: [] });
    await strip(first, [
      { what: "lid", line: "2x PH1 8 ST2.9", facts: { note: "clips break" } },
      { what: "fan" },
    ]);
    await setFinding(first, (await job(first)).version, "p2", { mode: "cracked" });
    const second = await machine(model);
    const view = await modelView(second);
    expect(view?.frame.words).toBe("one other unit is known");
    expect(view?.guide).toMatchObject({
      from: [first],
      steps: [
        { title: "lid", after: [], said: [{ from: first, says: "clips break" }] },
        { title: "fan", after: ["lid"] },
      ],
      tools: [{ tool: "PH1", times: 1 }],
      hardware: "2 screws",
      fails: [{ part: "fan", how: "cracked", times: 1 }],
    });
  });

  it("of a model that nobody knows is offered none", async () => {
    await strip(await machine("unknown"), [{ what: "lid" }]);
    const second = await machine("unknown");
    expect((await view(second)).recorder.ghostFrom).toBeUndefined();
    expect(await ghostFor(second)).toBeNull();
  });

  it("law: confirmed throughout, it has the strip that it came from", async () => {
    const says: fc.Arbitrary<Partial<OpenStep>> = fc.record({
      what: fc.constantFrom("lid", "fan", "fan wheel, shim", "gear", ""),
      line: fc.constantFrom(
        "2x PH1 8 ST2.9",
        "1 wavy 20, circlip 12",
        "o-ring 20, 4 screws left, 1 screw 30 right",
        "nut + washer + disc spring",
      ),
      asOne: fc.boolean(),
      needs: fc.constantFrom(null, null, null, [], ["s1"]),
      facts: fc.constantFrom(
        {},
        { facing: "hub up" },
        { held: ["dowels"], tray: "B2" },
        { marks: ["dot"], note: "mind the spring", tools: ["PH1"] },
      ),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(says, { minLength: 1, maxLength: 6 }), async (steps) => {
        const model = `Froth ${++nth + 100}`;
        const first = await machine(model);
        // the first step needs nothing, and no step is there yet that could be named
        await strip(first, steps.map((s, i) => ({ ...s, ...(i ? {} : { needs: null, asOne: false }) }))); // biome-ignore format: one call
        const second = await machine(model);
        await confirmed(second);
        expect(await written(second)).toEqual(await written(first));
      }),
      { numRuns: 12 },
    );
  });
});
