import { describe, expect, it } from "vitest";
import { Fault } from "@/core/fault";
import { commands } from "./commands";

const answer = (verb: string, input: unknown) => {
  const found = commands[verb];
  if (!found) throw new Error(`no command ${verb}`);
  return found.answer(input, {}) as never;
};

describe("every verb that reads JSON", () => {
  const verbs = Object.entries(commands).filter(([, v]) => !v.run && !v.picture);
  it.each(verbs.map(([name, verb]) => [name, verb] as const))(
    "%s takes the example that it prints, and says what it does",
    async (name, verb) => {
      expect(verb.help.length).toBeGreaterThan(20);
      const first = await answer(name, verb.example);
      expect(first).toBeTruthy();
      // what it answers is JSON, whole, and the same every time
      expect(JSON.parse(JSON.stringify(await answer(name, verb.example)))).toEqual(
        JSON.parse(JSON.stringify(first)),
      );
    },
  );
  it.each(verbs.map(([name, verb]) => [name, verb] as const))(
    "%s refuses a key it does not know, and no object at all, with a sentence",
    async (name, verb) => {
      for (const bad of [{ ...(verb.example as object), colour: "red" }, null, 7, [], {}]) {
        try {
          await answer(name, bad);
          expect.fail(`${name} took ${JSON.stringify(bad)}`);
        } catch (e) {
          expect(e).toBeInstanceOf(Fault);
          expect((e as Fault).says.length).toBeGreaterThan(5);
        }
      }
    },
  );
});

describe("single verbs", () => {
  it("gear identify goes by kind", () => {
    const bevel: { hypotheses: { coneAngle: number }[] } = answer("gear identify", {
      kind: "bevel",
      teeth: 20,
      mateTeeth: 40,
      tipDiameter: 32.68,
    });
    expect(bevel.hypotheses[0]?.coneAngle).toBeCloseTo(26.57, 2);
    const worm: { hypotheses: { module: number }[] } = answer("gear identify", {
      kind: "worm",
      starts: 1,
      tipDiameter: 12,
      axialPitch: { threads: 4, value: 12.56 },
    });
    expect(worm.hypotheses[0]?.module).toBe(1);
    expect(() => answer("gear identify", { kind: "hypoid", teeth: 20 })).toThrow(
      /none of "spur", "helical", "bevel", "worm"/,
    );
  });
  it("hardware torque is capped by a brass insert", () => {
    expect(answer("hardware torque", { thread: "M4", grade: "8.8", into: "brass-insert" })).toMatchObject({
      torqueNm: 1.2,
      school: "capped",
    });
  });
  it("train click names the lay shaft from its example's taps", () => {
    const { suspects }: { suspects: { says: string }[] } = answer(
      "train click",
      commands["train click"]?.example,
    );
    expect(suspects[0]?.says).toMatch(/^once per turn of lay/);
  });
  it("train fuse says what the swap of its example does", () => {
    const { swapped }: { swapped: { says: string } } = answer("train fuse", commands["train fuse"]?.example);
    expect(swapped.says).toMatch(/With steel \(C45\) there, no gear breaks at stall/);
  });
});
