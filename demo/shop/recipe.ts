import { addDays, format } from "date-fns";
import type { Hardware } from "../../src/core/hardware/piece";
import { quickLine } from "../../src/core/hardware/quick-line";
import { type Carried, type JobFile, stripOf } from "../../src/core/job/job-file";
import type { Part } from "../../src/core/job/part";
import { isStage, STAGES } from "../../src/core/job/stages";
import type { Action, StepFacts, StripStep } from "../../src/core/job/step";
import { goesInFrom } from "../../src/core/match/goes-in/goes-in-from";
import { lineKey } from "../../src/core/order/rebuild-line";
import { rebuildPlan } from "../../src/core/order/rebuild-plan";
import { catalogue } from "./shelf";

/**
 * One step of a demo strip, as short as it can be written down. Hardware is written in the bench's own
 * shorthand.
 */
export interface Row {
  do: Action;
  title: string;
  /** "name | kind | material" */
  parts?: string[];
  hw?: string;
  /** applies to all hardware of the row */
  once?: boolean;
  tighten?: { pattern?: string; torqueNm?: number };
  pic?: string;
  /** step numbers, counted from 1; left out: the one before */
  needs?: number[];
  bundle?: string;
  facing?: string;
  marks?: string[];
  wires?: { colour: string; to: string }[];
  minutes?: number;
  note?: string;
  /** from the top down: h0 is the first piece of hardware, p0 the first part */
  stack?: string[];
  /** whatever else the step carries */
  facts?: StepFacts;
}

export interface Recipe {
  head: NonNullable<JobFile["job"]>;
  unit: JobFile["unit"];
  rows: Row[];
  unitPicture: string;
  services?: JobFile["services"];
  lubePoints?: JobFile["lubePoints"];
  findings?: JobFile["findings"];
  renew?: string[];
  /**
   * what the file has no key of its own for; all lines of the plan done: "all"; handed back: so many days ago
   */
  carried?: Omit<Carried, "linesDone"> & {
    linesDone?: readonly string[] | "all";
    handedBackDaysAgo?: number;
  };
}

/** Step minutes that a recipe does not name: what these actions usually take. */
const MINUTES: Partial<Record<Action, number>> = {
  unscrew: 2.5,
  "lift-off": 1,
  pull: 2,
  "press-out": 4,
  "drive-out": 3,
  unclip: 1,
  unplug: 1,
  peel: 1.5,
  slide: 1,
  open: 1,
  block: 0.5,
};

/** A recipe as a job file, with the demo pictures it names: picture name in the file → name of the JPEG. */
export function jobFileFrom(r: Recipe, today = new Date()): { file: JobFile; pictures: Map<string, string> } {
  const parts: Part[] = [];
  const pictures = new Map<string, string>([["0001.jpg", r.unitPicture]]);
  let h = 0;
  const steps: StripStep[] = r.rows.map((row, i) => {
    const own = (row.parts ?? []).map((said) => {
      const [name, kind, material] = said.split("|").map((s) => s.trim());
      const id = `p${parts.length + 1}`;
      parts.push({
        id,
        name: name as string,
        ...(kind ? { kind } : {}),
        ...(material ? { material } : {}),
        ...(r.renew?.includes(name as string) ? { renew: true } : {}),
      });
      return id;
    });
    const read = quickLine(row.hw ?? "");
    if (read.unread.length)
      throw new Error(`${row.title}: cannot read "${read.unread.map((u) => u.text).join(", ")}"`);
    const hardware: Hardware[] = read.hardware.map((facts) => ({
      id: `h${++h}`,
      ...facts,
      ...(row.once ? { once: true } : {}),
      ...(row.tighten ? { tighten: row.tighten } : {}),
    }));
    const name = `${String(pictures.size + 1).padStart(4, "0")}.jpg`;
    if (row.pic) pictures.set(name, row.pic);
    return {
      id: `s${i + 1}`,
      action: row.do,
      title: row.title,
      ...(own.length ? { parts: own } : {}),
      ...(row.needs
        ? { needs: row.needs.map((n) => `s${n}`) }
        : i === 0
          ? { needs: [] }
          : { needs: [`s${i}`] }),
      ...(row.bundle ? { bundle: row.bundle } : {}),
      ...(hardware.length ? { hardware } : {}),
      ...(row.facing ? { facing: row.facing } : {}),
      ...(row.marks ? { marks: row.marks } : {}),
      ...(row.wires ? { wires: row.wires } : {}),
      ...(row.pic ? { pictures: [name] } : {}),
      ...row.facts,
      ...(row.stack
        ? {
            stack: row.stack.map((s) =>
              s.startsWith("h")
                ? (hardware[Number(s.slice(1))]?.id as string)
                : (own[Number(s.slice(1))] as string),
            ),
          }
        : {}),
      minutes: row.minutes ?? MINUTES[row.do] ?? 2,
      ...(row.note ? { note: row.note } : {}),
    };
  });
  const idOf = (name: string): string => {
    const found = parts.find((p) => p.name === name);
    if (!found) throw new Error(`${r.head.number}: there is no part "${name}"`);
    return found.id;
  };
  // findings, services and grease points name their part by its name, and a gear its mate
  const named = <
    T extends { readonly part?: string; readonly x?: Readonly<Record<string, unknown>> | undefined },
  >(
    thing: T,
  ): T => {
    if (thing.part === undefined) return thing;
    const gear = Object(thing.x?.gear ?? {});
    return {
      ...thing,
      part: idOf(thing.part),
      ...(typeof gear.mate === "string"
        ? { x: { ...thing.x, gear: { ...gear, mate: idOf(gear.mate) } } }
        : {}),
    };
  };
  const file: JobFile = {
    format: "demontage-job",
    version: 1,
    job: r.head,
    unit: r.unit,
    parts,
    steps,
    ...(r.services ? { services: r.services.map(named) } : {}),
    ...(r.lubePoints ? { lubePoints: r.lubePoints.map(named) } : {}),
    ...(r.findings ? { findings: r.findings.map(named).map(withWhatGoesIn) } : {}),
  };
  const chosen = (file.findings ?? []).flatMap((f) => (f.chosen ? [{ part: f.part, number: f.chosen }] : []));
  const stage = r.head.stage ?? "";
  const inHand = isStage(stage) && STAGES.indexOf(stage) > STAGES.indexOf("match") && chosen.length > 0;
  const { linesDone, handedBackDaysAgo, job, ...carried } = r.carried ?? {};
  const demontage: Carried = {
    pictures: [{ name: "0001.jpg", role: "intake" }],
    ...carried,
    // what a job needs that has come past Match came out of the drawer, and was compared
    ...(inHand
      ? { bought: { quotes: [], orders: [], arrivals: chosen.map((c, i) => outOfTheDrawer(c, i, today)) } }
      : {}),
    job: {
      ...job,
      ...(inHand ? { toFit: chosen.map((c) => ({ ...c, qty: 1 })) } : {}),
      ...(handedBackDaysAgo === undefined
        ? {}
        : { handedBackAt: addDays(today, -handedBackDaysAgo).toISOString() }),
    },
    ...(linesDone
      ? { linesDone: linesDone === "all" ? rebuildPlan(stripOf(file)).steps.map(lineKey) : linesDone }
      : {}),
  };
  return { file: { ...file, x: { demontage } }, pictures };
}

type Findings = NonNullable<JobFile["findings"]>;
const withWhatGoesIn = (f: Findings[number]): Findings[number] => {
  const part = catalogue.find((p) => p.number === f.chosen);
  return part ? { ...f, x: { ...f.x, goesIn: goesInFrom(part, catalogue) } } : f;
};

const outOfTheDrawer = (
  { part, number }: { part: string; number: string },
  i: number,
  today: Date,
): NonNullable<Carried["bought"]>["arrivals"][number] => ({
  was: i + 1,
  day: format(addDays(today, -1), "yyyy-MM-dd"),
  supplier: "the drawer",
  number,
  qty: 1,
  part,
  price: catalogue.find((p) => p.number === number)?.price,
  found: {},
  decision: "accepted",
  rework: [],
});
