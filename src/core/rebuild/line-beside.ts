import { hardwareInWords } from "../hardware/piece";
import { tightInWords } from "../hardware/tightening";
import type { LineWords } from "./line-in-words";

/**
 * All that a line says besides its title, each in a sentence of its own: for paper, and to be read aloud.
 *
 * @param cautions what can hurt at it
 */
export function besideLine(w: LineWords, cautions: readonly string[]): string[] {
  return [
    w.facing && `facing: ${w.facing}`,
    w.torqueNm !== undefined && `${w.torqueNm} N·m${w.pattern ? `, ${w.pattern}` : ""}`,
    ...w.hardware.flatMap((h) => {
      const tight =
        h.tighten &&
        tightInWords(w.torqueNm === undefined ? h.tighten : { ...h.tighten, torqueNm: undefined });
      const says = [h.at === "first" ? undefined : h.at, tight].filter(Boolean).join("; ");
      return says ? [`${hardwareInWords({ ...h, at: undefined, state: undefined })}: ${says}`] : [];
    }),
    ...(w.drawn ?? []),
    w.passes,
    ...w.marks.map((m) => `witness: ${m}`),
    w.wires.length > 0 && `wires: ${w.wires.map((x) => `${x.colour} → ${x.to}`).join(", ")}`,
    ...w.renewed,
    w.stack.length > 1 && `stack: ${w.stack.join(" / ")}`,
    w.amount && `${w.amount.figure} ${w.amount.unit}`.trim(),
    ...w.mind,
    ...(w.known ?? []).map((k) => k.says),
    ...cautions.map((c) => `▲ ${c}`),
    w.note,
    w.off?.length ? `at the strip: ${w.off.join("; ")}` : undefined,
    w.ifNot && `if not: ${w.ifNot}`,
  ].filter((x): x is string => typeof x === "string" && x !== "");
}

/** Signs that a voice does not say, or says otherwise. */
const SPOKEN: readonly (readonly [RegExp, string])[] = [
  [/N·m/g, "newton metres"],
  [/→/g, "to"],
  [/×/g, "by"],
  [/[▲◷⟂▼✎⊘]\s*/g, ""],
  [/Ø/g, "diameter"],
  [/°/g, " degrees"],
  [/ \/ /g, ", then "],
  [/\bST(\d)/g, "tapping $1"],
  [/\bTX(\d+)/g, "torx $1"],
  [/(\d) g\b/g, "$1 grams"],
  [/(\d) mm\b/g, "$1 millimetres"],
];

/**
 * A line as a voice reads it: its title, then what is beside it, what can hurt first. What to do on "no" is
 * left for when it is needed.
 */
export function lineAloud(w: LineWords, cautions: readonly string[]): string {
  const said = [w.title, ...cautions, ...besideLine({ ...w, ifNot: undefined, off: [] }, [])].map((s) =>
    s.trim().replace(/[.:]$/, ""),
  );
  return SPOKEN.reduce((text, [sign, word]) => text.replace(sign, word), `${said.join(". ")}.`);
}
