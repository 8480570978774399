import { describe, expect, it } from "vitest";
import { assembliesAt, lookAsks, lookIfNot, struckKey } from "../assemblies/match";
import { USUAL } from "../assemblies/usual";
import { assemblySchema } from "../job/assembly";
import { stepAsSaid } from "../job/recorded-step";
import type { StripStep } from "../job/step";
import { asRecorded, EMPTY, understood } from "../recorder/open-step";

/** The assemblies that a step is told by, typed as it is spoken; `behind` is what it laid open. */
function toldBy(
  what: string,
  line: string,
  behind: readonly string[] = [],
  more: Partial<StripStep> = {},
): string[] {
  const open = { ...EMPTY, key: "k", what, line };
  const { parts, hardware, ...facts } = stepAsSaid(asRecorded(open, understood(open), 0));
  const own = parts.map((p, i) => ({ id: `p${i}`, ...p }));
  const pieces = hardware.map((h, i) => ({ id: `h${i}`, ...h }));
  const ids = (s: string): string => (s.startsWith("h") ? pieces : own)[Number(s.slice(1))]?.id ?? "";
  const { stack, ...said } = facts;
  const step = {
    id: "s1",
    ...said,
    hardware: pieces,
    parts: own.map((p) => p.id),
    ...(stack && { stack: stack.map(ids) }),
    ...more,
  };
  return assembliesAt({
    step,
    parts: own,
    hardware: pieces,
    behind: behind.map((name, i) => ({ id: `b${i}`, name })),
    wired: /wired/.test(what),
  }).map((a) => a.id);
}

/** Of each assembly a step that is one, as terse as it is typed; and one beside it that is none. */
const EXAMPLES: Readonly<Record<string, readonly [is: string[], isNot: string[]]>> = {
  "pin-through-hub": [toldBy("drive coupling", "1 roll pin driven out"), toldBy("pedal", "1 pin pushed out")],
  "gears-that-meet-as-it-closes": [
    toldBy("lower half", "4 phillips", ["bevel gear"]),
    toldBy("lower half", "4 phillips", ["fan"]),
  ],
  "hub-turned-to-mesh": [
    toldBy("fan", "pulled off, two flats on the shaft"),
    toldBy("fan", "2 flat washers"),
  ],
  "splined-hub": [toldBy("hub", "sits on the splines"), toldBy("hub", "")],
  "half-over-dowels": [toldBy("lid", "4 screws, sits on 2 dowels"), toldBy("lid", "4 screws")],
  "part-over-dowels": [toldBy("bracket", "sits on 2 dowels"), toldBy("lid", "sits on 2 dowels")],
  "closing-face": [toldBy("lid", "4 screws"), toldBy("tray", "")],
  "wires-under-a-cover": [toldBy("wired lid", "4 screws"), toldBy("lid", "4 screws")],
  "flange-with-o-ring": [toldBy("head", "4 M5, 1 o-ring"), toldBy("head", "4 M5")],
  "gasket-joint": [toldBy("lid", "4 M5, 1 gasket"), toldBy("lid", "4 M5")],
  "shaft-seal": [toldBy("shaft seal", "pried out"), toldBy("base seal", "")],
  "washers-held-by-grease": [toldBy("gear", "one washer above one below"), toldBy("gear", "1 washer")],
  "washer-stack": [toldBy("gear", "one washer above one below"), toldBy("gear", "2 washers")],
  "disc-springs": [toldBy("brake", "2 disc springs"), toldBy("brake", "2 wavy washers")],
  "spring-hooked": [toldBy("lever", "1 spring"), toldBy("lever", "1 clip")],
  "spring-and-ball": [toldBy("selector", "1 spring and 1 ball"), toldBy("spindle", "1 ball")],
  "ball-valve": [toldBy("check valve", "1 spring, 1 ball"), toldBy("selector", "1 spring and 1 ball")],
  "one-way-drive": [toldBy("ring", "2 pawls"), toldBy("ring", "2 clips")],
  "carbon-brushes": [toldBy("carbon brushes", "2 brushes"), toldBy("brush roll", "")],
  "belt-on-pulleys": [toldBy("drive belt", ""), toldBy("belt guard", "")],
  "toothed-belt": [toldBy("toothed belt", ""), toldBy("drive belt", "")],
  timing: [toldBy("idler gear", "mark lines up with the dot"), toldBy("idler gear", "mark on the rim")],
  "threaded-head": [toldBy("chuck", "unscrews"), toldBy("chuck", "1 screw")],
  "screwed-out-besides": [toldBy("ram", "gland screws out"), toldBy("ram", "screws out")],
  "tab-washer": [
    toldBy("output gear", "nut 24 with tab washer bent over"),
    toldBy("output gear", "nut 24 with washer"),
  ],
  circlip: [toldBy("gear", "1 circlip"), toldBy("gear", "1 clip")],
  "press-fit": [toldBy("pinion", "pulled with a two leg puller"), toldBy("pinion", "pulled off by hand")],
  "bearing-in-its-seat": [toldBy("rear bearing", "pressed out"), toldBy("rear bearing", "slides out")],
  "warm-fit": [toldBy("hub", "heated, pulled off"), toldBy("hub", "pulled off")],
  bush: [toldBy("bush", ""), toldBy("sleeve nut", "")],
  "key-in-its-way": [toldBy("worm gear", "1 woodruff key"), toldBy("worm gear", "")],
  "taper-fit": [toldBy("arbor", "sits on a taper"), toldBy("arbor", "1 taper pin")],
  "self-tapping-screws": [toldBy("shell", "6 screws into plastic"), toldBy("shell", "6 M4")],
  "brass-inserts": [toldBy("motor", "3 screws into brass inserts"), toldBy("motor", "3 screws")],
  "wires-at-terminals": [toldBy("switch", "brown to L blue to N"), toldBy("switch", "")],
  "earth-connection": [toldBy("cord", "green/yellow to earth"), toldBy("cord", "brown to L")],
  "cord-grip": [toldBy("cord", "2 screws, strain relief"), toldBy("cord", "2 screws")],
  hooks: [toldBy("flap", "tilts off its hooks"), toldBy("spring", "unhooked")],
  "snap-tabs": [toldBy("end cap", "snaps off"), toldBy("nut", "tab washer")],
  "turned-on": [toldBy("strainer", "quarter turn bayonet"), toldBy("strainer", "twists off")],
  bonded: [toldBy("badge", "glued on"), toldBy("badge", "")],
  "jacked-off": [toldBy("lid", "jacked off", [], { freed: { how: "jack" } }), toldBy("lid", "")],
  "limit-switch": [toldBy("limit switch", "2 screws"), toldBy("switch", "2 screws")],
  adjuster: [toldBy("adjuster", "1 lock nut"), toldBy("adjuster", "")],
  "set-as-it-stood": [toldBy("screw", "", [], { setting: "2 turns in" }), toldBy("screw", "")],
  "nut-on-a-shaft": [toldBy("bevel gear", "1 nut"), toldBy("pulley", "1 nut")],
  "blocked-opening": [toldBy("rag in the chute", ""), toldBy("chute", "")],
  guard: [toldBy("guard", "2 screws"), toldBy("guard rail holder", "2 screws")],
  "hose-on-its-spigot": [toldBy("hose", "1 hose clamp"), toldBy("hose reel", "")],
  "grub-screw": [toldBy("cam", "1 grub screw"), toldBy("cam", "1 screw")],
  "pivot-pin": [toldBy("lever", "1 pin pushed out"), toldBy("gear", "1 roll pin driven out")],
  "what-turns": [toldBy("fan", ""), toldBy("fan guard", "")],
};

describe("what is usually known of how things go together", () => {
  it.each(USUAL.map((a) => [a.id, a] as const))(
    "%s is told by a terse step, and not by one beside it",
    (id, assembly) => {
      expect(assemblySchema.parse(assembly)).toEqual(assembly);
      const [is, isNot] = EXAMPLES[id] ?? [[], []];
      expect(is).toContain(id);
      expect(isNot).not.toContain(id);
    },
  );

  it("each has its own name, and each question its own key, what to do on a no, and no question twice", () => {
    const looks = USUAL.flatMap((a) => a.adds).filter((x) => x.act === "look");
    expect(new Set(USUAL.map((a) => a.id)).size).toBe(USUAL.length);
    expect(new Set(looks.map((l) => l.key)).size).toBe(looks.length);
    expect(new Set(looks.map((l) => l.asks)).size).toBe(looks.length);
    for (const l of looks) {
      expect(l.asks).toMatch(/\?$/);
      expect([lookAsks(l.key), lookIfNot(l.key)]).toEqual([l.asks, l.ifNot]);
      // an answer's key is cut at its colons
      expect(l.key).not.toContain(":");
    }
  });

  it("what was struck is gone at that step, or everywhere", () => {
    const step: StripStep = {
      id: "s1",
      action: "lift-off",
      remarks: [{ about: "way", says: "tilts off its hooks" }],
    };
    const at = (struck: readonly string[]): string[] =>
      assembliesAt({ step, parts: [], hardware: [], behind: [], wired: false }, [], new Set(struck)).map(
        (a) => a.id,
      );
    expect(at([])).toEqual(["hooks"]);
    expect(at([struckKey("hooks", "s2")])).toEqual(["hooks"]);
    expect(at([struckKey("hooks", "s1")])).toEqual([]);
    expect(at([struckKey("hooks")])).toEqual([]);
  });
});
