import { isPlastic } from "../hardware/material";
import { greaseStatesIn, isFailure, modeNamed, symptomSays } from "./failure-modes";
import { type Turning, toothExtent } from "./tooth-marks";

/** What the causes are reasoned from: all that Take in, Strip and the findings wrote down. */
export interface Evidence {
  readonly symptoms: readonly string[];
  /** of the old grease */
  readonly greaseStates?: readonly string[];
  /** something drives it that is no hand and no spring; undefined: not known, and thought possible */
  readonly motor?: boolean;
  readonly past: {
    readonly bought?: string;
    readonly openedBefore?: string;
    readonly load?: string;
    readonly years?: number;
  };
  readonly parts: readonly EvidentPart[];
}
export interface EvidentPart {
  readonly name: string;
  readonly kind?: string;
  readonly material?: string;
  readonly mode?: string;
  readonly marks?: Readonly<Record<string, string>> | undefined;
  readonly teeth?: number;
  readonly turning?: Turning;
  readonly drives?: boolean;
  /** what the mate's span has lost, mm, and what counts as sound */
  readonly mateLossMm?: number;
  readonly mateLimitMm?: number;
}

/** Something that is so, as the rules name it, and in words. */
export interface Fact {
  readonly fact: string;
  readonly says: string;
}

/**
 * The facts of a job: `symptom:clicks`, `grease:metal`, `teeth:run`, `seal:torn`, `any:corroded`,
 * `past:opened`, `mate:worn`, `has:motor` …
 */
export function factsOf(e: Evidence): Fact[] {
  const out: Fact[] = e.symptoms.map((s) => ({ fact: `symptom:${s}`, says: symptomSays(s) }));
  for (const grease of greaseStatesIn(e.greaseStates ?? []))
    out.push({ fact: `grease:${grease.state}`, says: `old grease: ${grease.says}` });
  if (e.motor !== false) out.push({ fact: "has:motor", says: "a motor drives it" });
  const { past } = e;
  if (past.openedBefore === "shop" || past.openedBefore === "owner")
    out.push({
      fact: "past:opened",
      says: past.openedBefore === "shop" ? "another shop had it open" : "its owner had it open",
    });
  if (past.bought === "used") out.push({ fact: "past:used", says: "bought used" });
  if (past.load === "hard") out.push({ fact: "past:hard", says: "worked hard" });
  if (past.load === "light") out.push({ fact: "past:light", says: "worked lightly" });
  if (past.years !== undefined && past.years >= 8)
    out.push({ fact: "past:old", says: `${past.years} years old` });
  for (const part of e.parts) out.push(...partFacts(part));
  return out.filter((f, i) => out.findIndex((g) => g.fact === f.fact && g.says === f.says) === i);
}

function partFacts(p: EvidentPart): Fact[] {
  const out: Fact[] = [];
  const mode = modeNamed(p.mode);
  const failed = isFailure(p.mode);
  if (mode && failed)
    for (const what of [p.kind ?? "part", "any"])
      out.push({ fact: `${what}:${mode.mode}`, says: `${p.name} ${mode.says}` });
  if (p.kind === "gear" && failed && p.material)
    out.push(
      isPlastic(p.material)
        ? { fact: "gear:plastic", says: `${p.name} is plastic` }
        : { fact: "gear:metal", says: `${p.name} is metal` },
    );
  if (p.marks && p.teeth && Object.keys(p.marks).length) out.push(...toothFacts(p, p.marks, p.teeth));
  if (p.mateLossMm !== undefined && p.mateLimitMm !== undefined)
    out.push(
      p.mateLossMm > p.mateLimitMm
        ? { fact: "mate:worn", says: `the mate of ${p.name} has lost ${p.mateLossMm.toFixed(2)} mm of tooth` }
        : { fact: "mate:sound", says: `the mate of ${p.name} measures sound` },
    );
  return out;
}

function toothFacts(p: EvidentPart, marks: Readonly<Record<string, string>>, teeth: number): Fact[] {
  const x = toothExtent(marks, teeth, p.turning, p.drives);
  const n = (mark: string): number => x.counts[mark] ?? 0;
  const out: Fact[] = [];
  const longest = x.goneRuns[0]?.length ?? 0;
  if (longest >= 2)
    out.push({ fact: "teeth:run", says: `${p.name}: ${longest} teeth gone next to each other` });
  if (x.goneRuns.length >= 2)
    out.push({ fact: "teeth:scattered", says: `${p.name}: teeth gone in ${x.goneRuns.length} places` });
  else if (longest === 1) out.push({ fact: "teeth:one", says: `${p.name}: a single tooth gone` });
  if (n("broken")) out.push({ fact: "teeth:part-way", says: `${p.name}: ${n("broken")} broken part-way up` });
  if (n("cracked"))
    out.push({ fact: "teeth:cracked", says: `${p.name}: ${n("cracked")} cracked at the root` });
  if (n("melted")) out.push({ fact: "teeth:melted", says: `${p.name}: ${n("melted")} melted` });
  if (n("corroded")) out.push({ fact: "teeth:corroded", says: `${p.name}: ${n("corroded")} corroded` });
  const thin = n("knife") + n("worn") + n("worn-left") + n("worn-right");
  if (thin >= 0.7 * teeth) out.push({ fact: "teeth:all-worn", says: `${p.name}: worn all round` });
  else if (thin > 0)
    out.push({
      fact: "teeth:part-worn",
      says: `${p.name}: worn over ${Math.round((100 * thin) / teeth)} % of the round`,
    });
  if (x.flank === "driving" || x.flank === "coasting" || x.flank === "both")
    out.push({
      fact: `flank:${x.flank}`,
      says: `${p.name}: ${x.flank === "both" ? "both flanks" : `the ${x.flank} flank`} worn`,
    });
  return out;
}
