import { z } from "zod";
import { Fault, readWith } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import {
  type HardwareAnswer,
  hardwareInput,
  identifyHardware,
} from "@/core/hardware/bench/identify-hardware";
import { brushMeasured, capacitorMarked } from "@/core/hardware/bench/marked";
import { torqueInput } from "@/core/hardware/bench/tightening-torque";
import { CALIPER_U_MM } from "@/core/quantity/caliper";
import { meanOf } from "@/core/quantity/measured";

/** A dimension that is asked for, what it is called, and of which shapes alone it is asked. */
export type AskedSize = readonly [what: string, label: string, of?: string];
/** What is seen and not measured: one of a few. */
export interface AskedLook {
  readonly what: string;
  readonly label: string;
  readonly options: readonly (readonly [value: string, says: string])[];
  /** asked of this shape alone */
  readonly of?: string;
}
interface BenchKind {
  readonly kind: string;
  readonly keyName: string;
  readonly says: string;
  readonly sizes: readonly AskedSize[];
  readonly looks?: readonly AskedLook[];
  /** what is typed as it is printed or counted */
  readonly typed?: {
    readonly what: string;
    readonly label: string;
    readonly hint: string;
    readonly of?: string;
  };
}

export const KINDS = [
  {
    kind: "bearing", keyName: "1", says: "Bearing",
    sizes: [["bore", "Bore"], ["outside", "Outside"], ["width", "Width"]],
    looks: [{ what: "turns", label: "Where it came from", options: [["shaft", "its shaft turned"], ["wheel", "a wheel turned on it"]] }],
  },
  {
    kind: "thread", keyName: "2", says: "Thread",
    sizes: [["diameter", "Over the thread"], ["pitchOver10", "Over 10 threads"]],
    looks: [{ what: "pointed", label: "Its thread", options: [["yes", "coarse, cuts its own"], ["no", "for a nut or a tapped hole"]] }],
  },
  {
    kind: "pin", keyName: "3", says: "Pin", sizes: [["diameter", "Pin"], ["hole", "Hole"]],
    looks: [{ what: "form", label: "Its look", options: [["slotted", "slotted tube"], ["coiled", "wound like a spring"], ["grooved", "solid with grooves"], ["solid", "solid, smooth"]] }],
  },
  { kind: "circlip", keyName: "4", says: "Circlip", sizes: [["shaft", "Shaft"], ["bore", "Bore"], ["groove", "Groove"], ["thickness", "Thickness"], ["outside", "E-ring, outside"]] },
  { kind: "o-ring", keyName: "5", says: "O-ring", sizes: [["section", "Section"], ["inside", "Inside"], ["grooveDepth", "Groove, deep"]] },
  {
    kind: "belt", keyName: "6", says: "Belt",
    sizes: [["pitchOverTen", "Over 10 teeth or ribs", "toothed ribbed"], ["toothHeight", "Tooth, high", "toothed"], ["width", "Width", "toothed ribbed"], ["top", "Across its top", "V"], ["height", "Height", "V"]],
    looks: [
      { what: "shape", label: "Its shape", options: [["toothed", "toothed"], ["ribbed", "ribs lengthwise"], ["V", "V"]] },
      { what: "flank", label: "Flanks of its teeth", options: [["straight", "straight"], ["round", "round"]], of: "toothed" },
    ],
    typed: { what: "teeth", label: "Teeth, counted all round", hint: "112", of: "toothed" },
  },
  { kind: "brush", keyName: "7", says: "Brush", sizes: [["thickness", "Thick"], ["width", "Wide"], ["length", "Long"], ["newLength", "A new one, long"], ["toMark", "Left to its mark"]] },
  { kind: "capacitor", keyName: "8", says: "Capacitor", sizes: [], typed: { what: "marks", label: "What is printed on it", hint: "0.1 µF X2 275 V~" } },
] as const satisfies readonly BenchKind[]; // biome-ignore format: a table
export type Kind = (typeof KINDS)[number]["kind"];
export const benchKind = (kind: Kind): BenchKind => KINDS.find((k) => k.kind === kind) ?? KINDS[0];

export const onTheBench = z.object({
  kind: z.enum(KINDS.map((k) => k.kind)),
  /** readings by kind and dimension, mm, and what is half typed */
  readings: z.record(
    z.string(),
    z.array(z.object({ value: z.number(), source: z.string(), at: z.string() })),
  ),
  typed: z.record(z.string(), z.string()),
  /** what was seen, by kind and question */
  looks: z.record(z.string(), z.string()).optional(),
  torque: torqueInput,
  /** the maker's figure as it was typed */
  maker: z.string().max(80).optional(),
});
export type OnTheBench = Frozen<z.infer<typeof onTheBench>>;
export const EMPTY: OnTheBench = {
  kind: "bearing",
  readings: {},
  typed: {},
  torque: { thread: "M4", into: "plastic" },
};
/** Small things are held askew more easily than a gear: a reading spreads a little wider, mm. */
export const SMALL_THING_U = 1.5 * CALIPER_U_MM;

/** Whether it is asked of what lies there: of any shape, or of the one that was seen. */
export const isAsked = (bench: Pick<OnTheBench, "kind" | "looks">, of: string | undefined): boolean =>
  of === undefined || of.split(" ").includes(bench.looks?.[`${bench.kind}.shape`] ?? "");

/** What the bench says of what lies on it. */
export type BenchAnswer =
  | { readonly says: "asks"; readonly what: string }
  | ({ readonly says: "odds" } & HardwareAnswer)
  | {
      readonly says: "named";
      readonly name: string;
      readonly more?: string;
      readonly notes: readonly string[];
    };

/** What the readings of one kind say; a sentence where they say nothing yet. */
export function answerOf(bench: OnTheBench): BenchAnswer {
  const { kind } = bench;
  const mean = (what: string) => {
    const own = bench.readings[`${kind}.${what}`] ?? [];
    return own.length ? meanOf(own.map((r) => r.value), SMALL_THING_U) : undefined; // biome-ignore format: short
  };
  const typed = (what: string): string => bench.typed[`${kind}.${what}`]?.trim() ?? "";
  try {
    if (kind === "capacitor") {
      if (!typed("marks"))
        return { says: "asks", what: "type what is printed on it, like 0.1 µF X2 275 V~ or 104K" };
      const c = capacitorMarked(typed("marks"));
      const more = [
        c.tolerance,
        c.volts && `${c.volts} V${c.current ? ` ${c.current}` : ""}`,
        c.safety && `class ${c.safety}`,
      ]
        .filter(Boolean)
        .join(" · ");
      return { says: "named", name: `capacitor ${c.says}`, more, notes: c.notes };
    }
    const sizes = Object.fromEntries(benchKind(kind).sizes.flatMap(([what, , of]) => { const m = isAsked(bench, of) ? mean(what) : undefined; return m ? [[what, m]] : []; })); // biome-ignore format: short
    if (kind === "brush") {
      const size = (what: string): number | undefined => mean(what)?.value;
      const [thickness, width, length] = [size("thickness"), size("width"), size("length")];
      if (thickness === undefined || width === undefined || length === undefined)
        return { says: "asks", what: "measure how thick, how wide and how long it is" };
      const [newLength, toMark] = [size("newLength"), size("toMark")];
      const b = brushMeasured({
        thickness,
        width,
        length,
        ...(newLength ? { newLength } : {}),
        ...(toMark === undefined ? {} : { toMark }),
      });
      const more = { yes: "worn", no: "not worn yet", "not known": "whether it is worn is not known" }[
        b.worn
      ];
      return { says: "named", name: b.name, more, notes: b.notes };
    }
    const { pitchOver10, grooveDepth, ...others } = sizes;
    const looks = Object.fromEntries((benchKind(kind).looks ?? []).flatMap((l) => { const seen = isAsked(bench, l.of) && bench.looks?.[`${kind}.${l.what}`]; return seen ? [[l.what, l.what === "pointed" ? seen === "yes" : seen]] : []; })); // biome-ignore format: short
    const shape = bench.looks?.[`${kind}.shape`];
    if (kind === "belt" && !shape)
      return { says: "asks", what: "say which shape it has: teeth across it, ribs along it, or a V" };
    const teeth = shape === "toothed" ? typed("teeth") : "";
    const input = {
      kind,
      ...others,
      ...looks,
      ...(pitchOver10 ? { pitchOver: { threads: 10, ...pitchOver10 } } : {}),
      ...(grooveDepth ? { grooveDepth: grooveDepth.value } : {}),
      ...(teeth ? { teeth: Number(teeth) } : {}),
    };
    return { says: "odds", ...identifyHardware(readWith(hardwareInput, input)) };
  } catch (e) {
    if (e instanceof Fault) return { says: "asks", what: e.path === "teeth" ? `teeth: ${e.says}` : e.says };
    throw e;
  }
}
