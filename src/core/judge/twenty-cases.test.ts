import { describe, expect, it } from "vitest";
import { howFar, type LikelyCause, likelyCauses } from "./causes";
import type { EvidentPart } from "./evidence";

/**
 * Twenty units, made up, of kinds that the demo does not have, with the verdict that a good technician would
 * give and why. The first cause must be the verdict; what would be a wrong lead must not come up as likely.
 */
interface Case {
  readonly unit: string;
  readonly found: {
    readonly symptoms?: readonly string[];
    readonly grease?: readonly string[];
    readonly past?: {
      readonly bought?: string;
      readonly openedBefore?: string;
      readonly load?: string;
      readonly years?: number;
    };
    readonly motor?: boolean;
    readonly parts: readonly EvidentPart[];
  };
  readonly verdict: string;
  readonly why: string;
  readonly wrongLeads?: readonly string[];
}

const part = (kind: string, name: string, mode: string, more: Partial<EvidentPart> = {}): EvidentPart => ({
  kind,
  name,
  mode,
  ...more,
});
const marked = (teeth: number, mark: string, which: readonly number[]): Partial<EvidentPart> => ({
  teeth,
  marks: Object.fromEntries(which.map((t) => [t, mark])),
});
const all = (n: number): number[] => Array.from({ length: n }, (_, i) => i);

const CASES: readonly Case[] = [
  {
    unit: "pasta roller, turned by hand",
    found: {
      motor: false,
      symptoms: ["grinds", "louder"],
      grease: ["dry"],
      past: { years: 6 },
      parts: [part("gear", "roller gear", "worn", { material: "steel", ...marked(24, "worn", all(24)) })],
    },
    verdict: "dry",
    why: "caked grease, and all teeth worn alike",
    wrongLeads: ["motor", "fatigue", "jam", "worn-out"],
  },
  {
    unit: "breast drill, turned by hand",
    found: {
      motor: false,
      past: { bought: "used" },
      parts: [part("shaft", "crank shaft", "bent"), part("bracket", "side handle bracket", "broken")],
    },
    verdict: "forced",
    why: "a bent shaft and a broken bracket on one side: it fell",
    wrongLeads: ["motor", "fatigue"],
  },
  {
    unit: "hair clipper",
    found: {
      symptoms: ["dead"],
      past: { load: "daily" },
      parts: [part("wire", "cord at the grommet", "broken")],
    },
    verdict: "electrical",
    why: "a broken wire at the grommet: nothing else was wrong",
    wrongLeads: ["motor", "jam"],
  },
  {
    unit: "bilge pump",
    found: {
      symptoms: ["hot", "leaks"],
      parts: [part("shaft", "pump shaft", "contaminated"), part("seal", "shaft seal", "torn")],
    },
    verdict: "hair",
    why: "fishing line wound behind the seal",
    wrongLeads: ["dirt", "fatigue"],
  },
  {
    unit: "fishing reel with a motor",
    found: {
      symptoms: ["grinds"],
      grease: ["wet", "separated"],
      parts: [part("bearing", "spool bearing", "corroded"), part("spring", "click spring", "corroded")],
    },
    verdict: "water",
    why: "milky grease and rust in two places",
    wrongLeads: ["age", "motor"],
  },
  {
    unit: "paper shredder",
    found: {
      symptoms: ["output-still"],
      grease: ["plastic"],
      past: { load: "hard" },
      parts: [
        part("gear", "cutter gear", "missing-teeth", {
          material: "POM",
          ...marked(38, "missing", [4, 5, 6, 7]),
        }),
      ],
    },
    verdict: "jam",
    why: "four teeth in one run: it met something",
    wrongLeads: ["dry", "age"],
  },
  {
    unit: "ice-cream churn",
    found: {
      symptoms: ["hot", "slips"],
      grease: ["dark"],
      past: { load: "hard" },
      parts: [part("gear", "output wheel", "melted", { material: "PA" })],
    },
    verdict: "overload",
    why: "burnt grease, melted plastic, a smell, and it works hard: power went into heat",
    wrongLeads: ["fatigue", "age"],
  },
  {
    unit: "model turntable",
    found: { symptoms: ["slips"], past: { years: 25 }, parts: [part("belt", "drive belt", "hardened")] },
    verdict: "age",
    why: "twenty-five years, and the rubber is hard",
    wrongLeads: ["overload", "jam"],
  },
  {
    unit: "sausage filler, turned by hand",
    found: {
      motor: false,
      symptoms: ["slips"],
      parts: [part("pin", "cross pin of the bevel gear", "sheared")],
    },
    verdict: "pin",
    why: "the pin is in two pieces; the gears are whole",
    wrongLeads: ["motor", "fatigue", "hub"],
  },
  {
    unit: "dough sheeter",
    found: {
      symptoms: ["output-still"],
      past: { openedBefore: "owner" },
      parts: [
        part("pin", "roller pin", "lost"),
        part("spring", "latch spring", "lost"),
        part("cover", "side cover", "stripped"),
      ],
    },
    verdict: "assembly",
    why: "a pin and a spring are not there, a thread is stripped, and its owner had it open",
    wrongLeads: ["overload", "motor"],
  },
  {
    unit: "curtain motor",
    found: {
      symptoms: ["output-still"],
      past: { years: 9 },
      parts: [part("spring", "clutch spring", "broken")],
    },
    verdict: "spring",
    why: "the clutch spring is broken; all gears are sound",
    wrongLeads: ["motor", "jam"],
  },
  {
    unit: "heat gun",
    found: {
      symptoms: ["dead"],
      past: { load: "daily" },
      parts: [part("switch", "slide switch", "contacts")],
    },
    verdict: "electrical",
    why: "burnt contacts",
    wrongLeads: ["motor", "worn-out"],
  },
  {
    unit: "tile cutter with a water bath",
    found: {
      symptoms: ["grinds"],
      grease: ["wet"],
      parts: [
        part("bearing", "blade bearing", "corroded"),
        part("seal", "shaft seal", "hardened"),
        part("bearing", "rear bearing", "slack"),
      ],
    },
    verdict: "water",
    why: "rust at the bearing beside a hard seal: the bath got in, the slack came after",
    wrongLeads: ["motor", "age"],
  },
  {
    unit: "chain hoist, pulled by hand",
    found: {
      motor: false,
      past: { load: "hard" },
      parts: [
        part("chain", "load chain", "stretched"),
        part("gear", "load sprocket", "worn", { material: "steel" }),
      ],
    },
    verdict: "worn-out",
    why: "a chain that has grown longer and its wheel with it, after hard years",
    wrongLeads: ["motor", "fatigue", "dry"],
  },
  {
    unit: "caulking gun with a battery",
    found: {
      symptoms: ["clicks"],
      past: { years: 10 },
      parts: [
        part("gear", "rack pinion", "chipped", {
          material: "steel",
          teeth: 12,
          marks: { 2: "missing", 7: "missing", 9: "cracked" },
        }),
      ],
    },
    verdict: "fatigue",
    why: "teeth gone in two places and a crack at a third root",
    wrongLeads: ["motor", "water"],
  },
  {
    unit: "slide projector",
    found: {
      symptoms: ["output-still"],
      grease: ["separated"],
      past: { years: 34, load: "light" },
      parts: [part("gear", "cam gear", "split", { material: "POM" })],
    },
    verdict: "age",
    why: "a plastic gear on a knurled shaft, split after thirty years in a cupboard",
    wrongLeads: ["fatigue", "overload", "motor"],
  },
  {
    unit: "garden chipper",
    found: {
      symptoms: ["slips", "hot"],
      past: { load: "hard" },
      parts: [part("belt", "flat belt", "stretched")],
    },
    verdict: "overload",
    why: "a stretched belt on a machine that is fed too much",
    wrongLeads: ["age", "jam"],
  },
  {
    unit: "rotary hammer",
    found: {
      symptoms: ["leaks"],
      grease: ["gone"],
      parts: [part("seal", "seal between gears and motor", "torn")],
    },
    verdict: "seal-between",
    why: "the grease is in the motor, and the lip is torn",
    wrongLeads: ["hair", "dirt"],
  },
  {
    unit: "bench polisher",
    found: {
      symptoms: ["dead"],
      past: { years: 12, load: "daily" },
      parts: [part("brush", "carbon brushes", "short")],
    },
    verdict: "electrical",
    why: "brushes worn to the spring: no current",
    wrongLeads: ["motor", "jam", "fatigue"],
  },
  {
    unit: "leaf blower of a beach kiosk",
    found: {
      symptoms: ["grinds"],
      grease: ["dirt"],
      parts: [part("bearing", "fan bearing", "contaminated"), part("switch", "trigger", "contaminated")],
    },
    verdict: "dirt",
    why: "sand in the bearing and in the trigger",
    wrongLeads: ["age", "water", "motor"],
  },
  {
    unit: "knitting carriage, pushed by hand",
    found: {
      motor: false,
      past: { openedBefore: "owner" },
      parts: [part("bracket", "cam bracket", "bent"), part("cover", "carriage cover", "cracked")],
    },
    verdict: "forced",
    why: "bent and cracked: it jammed and was pushed on",
    wrongLeads: ["motor", "fatigue"],
  },
];

describe("units that were never seen here", () => {
  const causesOf = ({ found }: Case): LikelyCause[] =>
    likelyCauses({
      symptoms: found.symptoms ?? [],
      greaseStates: found.grease ?? [],
      motor: found.motor,
      past: found.past ?? {},
      parts: found.parts,
    });

  it("are twenty or more, of as many kinds", () => {
    expect(new Set(CASES.map((c) => c.unit)).size).toBeGreaterThanOrEqual(20);
  });
  it.each(CASES.map((c) => [c.unit, c] as const))("%s gets the verdict of a good technician", (_, c) => {
    const causes = causesOf(c);
    expect({ unit: c.unit, first: causes[0]?.cause, why: c.why }).toEqual({
      unit: c.unit,
      first: c.verdict,
      why: c.why,
    });
    expect(causes[0]?.how).not.toBe("unlikely");
    expect(
      causes.filter((x) => x.how === "likely" && c.wrongLeads?.includes(x.cause)).map((x) => x.cause),
    ).toEqual([]);
  });
  it("without a motor get no advice about one, and without a bad tooth none about tired teeth", () => {
    for (const c of CASES) {
      const causes = causesOf(c)
        .filter((x) => x.how !== "unlikely")
        .map((x) => x.cause);
      if (c.found.motor === false) expect(causes).not.toContain("motor");
      if (!c.found.parts.some((p) => p.marks && Object.values(p.marks).some((m) => m !== "worn")))
        expect(causes).not.toContain("fatigue");
    }
  });
  it("that are old are looked through for a second part of the same age", () => {
    const old = CASES.filter((c) => c.verdict === "age");
    expect(old.length).toBeGreaterThan(1);
    for (const c of old)
      expect(howFar(causesOf(c), []).map((f) => f.says)).toContain(
        "look for a second part of the same make and age: it is as far gone",
      );
  });
});
