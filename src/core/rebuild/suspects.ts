import { closes, isOneNut, isTurning } from "../assemblies/goes-back";
import { isDrawn } from "../hardware/piece";
import { goingInOf } from "../job/going-in";
import type { Job } from "../job/job";
import { partNamed } from "../job/part";
import { pieceNamed } from "../job/piece-named";
import type { StripStep } from "../job/step";
import { stepThing } from "../job/step-named";
import { isFailure, modeNamed } from "../judge/failure-modes";
import { type CheckLine, isLineDone, type RebuildLine } from "../order/rebuild-line";
import type { RebuildPlan } from "../order/rebuild-plan";
import { ratesOf } from "../train/rates";
import { countedTrain } from "../train/train";
import { teethOff } from "./one-tooth-off";

/** Something that can have brought it about that a check is answered with no. */
export interface Suspect {
  /** holds while the plan changes around it */
  readonly id: string;
  readonly says: string;
  /** how to find out whether it was that */
  readonly tell: string;
  /** the step that comes off again, if it was that */
  readonly step?: string;
}

interface Scene {
  readonly job: Job;
  readonly check: string;
  /** the step that is asked about */
  readonly at: StripStep | undefined;
  /** what went back since this was last right, the last first */
  readonly since: readonly StripStep[];
  /** lubricated since then */
  readonly greased: readonly Job["lubePoints"][number][];
  readonly names: (step: StripStep) => string;
}

interface Rule {
  /** the checks that it can spoil */
  readonly checks: readonly string[];
  readonly of: (scene: Scene) => readonly Suspect[];
}

const STACKED = ["washer", "wavy-washer", "lock-washer", "disc-spring", "thrust-washer", "spacer"];
const partsOf = (job: Job, s: StripStep) => job.parts.filter((p) => s.parts?.includes(p.id));
const pieces = (s: StripStep, kinds: readonly string[]): number =>
  (s.hardware ?? []).reduce((n, h) => n + (kinds.includes(h.kind) ? h.qty : 0), 0);

/**
 * What is usually behind a "no", what is tried without taking anything off first. Each comes out of what was
 * recorded: kinds, pieces, findings, the train.
 */
const RULES: readonly Rule[] = [
  {
    checks: ["turns-freely"],
    of: ({ greased }) =>
      greased.length
        ? [
            {
              id: "grease",
              says: `It is only the fresh lubricant: ${greased.map((g) => g.where ?? g.lubricant ?? "grease").join("; ")}.`,
              tell: "Turn it through ten times. Grease goes lighter and drags evenly all the way round; a tight spot stays where it is.",
            },
          ]
        : [],
  },
  {
    checks: ["turns-freely", "end-play"],
    of: ({ since, names }) =>
      since
        .filter((s) => isOneNut(s.hardware ?? []))
        .map((s) => ({
          id: `nut:${s.id}`,
          says: `The nut of ${names(s)} is drawn too far.`,
          tell: "Turn it back by a quarter and feel again. Is it free now: draw it only until the last play along the shaft is just left, then secure it.",
          step: s.id,
        })),
  },
  {
    checks: ["turns-freely"],
    of: ({ job, since, names }) =>
      since
        .filter((s) => closes(partsOf(job, s)) && (s.hardware ?? []).some(isDrawn))
        .map((s) => ({
          id: `cover:${s.id}`,
          says: `The screws of ${names(s)} pull it askew.`,
          tell: "Loosen all of them by half a turn and feel again. Is it free now: let it lie flat by hand, then draw them crosswise and a little at a time.",
          step: s.id,
        })),
  },
  {
    checks: ["turns-freely"],
    of: ({ job }) => {
      const train = job.train && countedTrain(job.train);
      if (!train?.meshes.length) return [];
      const slow = ratesOf(train)
        .filter((r) => r.kind === "shaft" && r.perInputTurn > 0)
        .map((r) => `${turns(1 / r.perInputTurn)}: ${r.at}, ${r.look}`);
      if (slow.length < 2) return [];
      return [
        {
          id: "rhythm",
          says: `It is tight at one place of one shaft, and comes round.`,
          tell: `Turn ${train.input.shaft} by hand and count its turns from one tight spot to the next. ${slow.join(". ")}.`,
        },
      ];
    },
  },
  {
    checks: ["turns-freely", "end-play", "stack-order", "lies-flat"],
    of: ({ job, since, names }) =>
      since
        .filter((s) => pieces(s, STACKED) > 1 || (s.stack?.length ?? 0) > 2)
        .map((s) => {
          const stack = [...(s.stack ?? [])]
            .reverse()
            .map((id) => pieceNamed(job, s.parts?.includes(id) ? { part: id } : { hardware: id }));
          return {
            id: `stack:${s.id}`,
            says: `At ${names(s)} a washer lies in the wrong place, or one too many does.`,
            tell: stack.length
              ? `Lay them beside their picture, the lowest first: ${stack.join(", then ")}. Count them: ${pieces(s, STACKED)} came off.`
              : `Count them against the strip: ${pieces(s, STACKED)} came off. Look at the picture for which lay below.`,
            step: s.id,
          };
        }),
  },
  {
    checks: ["turns-freely", "end-play", "lies-flat", "clip-seated"],
    of: ({ job, since, names }) =>
      since
        .filter((s) => partsOf(job, s).some((p) => p.kind === "bearing" || p.kind === "bush"))
        .map((s) => ({
          id: `bearing:${s.id}`,
          says: `What was pressed in at ${names(s)} is not home, or stands askew.`,
          tell: "Look along its face while it turns: what stands askew wobbles. Measure from the case to its ring at three places; they are the same.",
          step: s.id,
        })),
  },
  {
    checks: ["lies-flat"],
    of: ({ job, since, names }) =>
      since
        .filter((s) => partsOf(job, s).some(isTurning) && !closes(partsOf(job, s)))
        .slice(0, 2)
        .map((s) => ({
          id: `mesh:${s.id}`,
          says: `The teeth at ${names(s)} have not fallen in.`,
          tell: "Press lightly on the cover with one hand and turn the output with the other: it drops by itself when they do. Never by the screws.",
          step: s.id,
        })),
  },
  {
    checks: ["lies-flat", "wires-clear"],
    of: ({ since, names }) =>
      since
        .filter((s) => (s.wires?.length ?? 0) > 0 || (s.hardware ?? []).some((h) => h.kind === "plug"))
        .map((s) => ({
          id: `wires:${s.id}`,
          says: `A wire of ${names(s)} lies under the face.`,
          tell: "Lift the cover a little and follow each wire along its guide, with the picture beside it.",
          step: s.id,
        })),
  },
  {
    checks: ["lies-flat"],
    of: ({ since, names }) =>
      since
        .filter((s) => (s.hardware ?? []).some((h) => h.kind === "pin" || h.kind === "key"))
        .map((s) => ({
          id: `pin:${s.id}`,
          says: `A pin or key of ${names(s)} stands out further than it did.`,
          tell: "Lay a rule across the face: nothing may touch it but what goes into the cover.",
          step: s.id,
        })),
  },
  {
    checks: ["lies-flat"],
    of: ({ greased }) => {
      const grams = greased.reduce((sum, g) => sum + (g.weighedGrams ?? g.grams ?? 0), 0);
      return grams > 0
        ? [
            {
              id: "packed",
              says: `Grease is packed under it: ${Number(grams.toFixed(1))} g went in since.`,
              tell: "Look round the edge for grease that is pressed out. Take it off the cover and the faces; it belongs on the teeth.",
            },
          ]
        : [];
    },
  },
  {
    checks: ["timing-together"],
    of: ({ job, at }) =>
      teethOff(job, at?.parts ?? []).flatMap((o): Suspect[] => [
        ...(o.meetsAfter && o.meetsAfter.turns > 1
          ? [
              {
                id: `meets:${o.mesh}`,
                says: "Nothing is wrong: these two teeth only do not meet in this turn.",
                tell: `Turn ${o.meetsAfter.shaft} by ${o.meetsAfter.turns} turns, slowly, and look each time they pass.`,
              },
            ]
          : []),
        {
          id: `tooth:${o.mesh}`,
          says: `It is one tooth out at the ${o.says}.`,
          tell: `Then the mark stands ${o.degrees.toFixed(1)}° aside, one tooth's width: two widths are two teeth. Count them before it comes out.`,
          ...(at ? { step: at.id } : {}),
        },
      ]),
  },
  {
    checks: [
      "turns-freely",
      "timing-together",
      "lies-flat",
      "bearing-home",
      "brush-slides",
      "belt-true",
      "clip-seated",
    ],
    of: ({ job, since }) => {
      const ids = new Set(since.flatMap((s) => s.parts ?? []));
      const going = job.ending ? [] : goingInOf(job);
      return job.findings
        .filter((f) => ids.has(f.part))
        .flatMap((f): Suspect[] => {
          const name = partNamed(job, f.part);
          const step = job.steps.find((s) => s.parts?.includes(f.part))?.id;
          const isNew = job.parts.some((p) => p.id === f.part && p.renew) && !job.ending;
          if (isNew)
            return [
              {
                id: `new:${f.part}`,
                says: `The new ${name} is not as the old one${f.got?.differs ? `: ${f.got.differs}` : going.some((g) => g.part === f.part) ? " in what goes in with it" : ""}.`,
                tell: "Lay it beside the old one: bore, width, boss, teeth. Of a gear, colour six teeth, turn it once under a light hand: it is rubbed off in the middle, or it is the wrong one.",
                step,
              },
            ];
          return isFailure(f.mode) && f.fate === "keep"
            ? [
                {
                  id: `kept:${f.part}`,
                  says: `The ${name} went back as it is, although it was found ${modeNamed(f.mode)?.says ?? f.mode}.`,
                  tell: "Feel it alone, out of mesh.",
                  step,
                },
              ]
            : [];
        });
    },
  },
];

/** What follows an apposition: "step 3, the lid, is …", but "step 3 is …". */
const withComma = (thing: string): string => (thing.includes(",") ? `${thing},` : thing);
const turns = (n: number): string => (Math.abs(n - 1) < 1e-9 ? "1 turn" : `${Number(n.toFixed(2))} turns`);

/** Steps that are back, from the line at which the same was last asked and answered yes. */
function sinceRight(
  plan: Pick<RebuildPlan, "steps">,
  line: CheckLine,
  done: ReadonlySet<string>,
): readonly RebuildLine[] {
  const before = plan.steps.slice(0, line.n - 1).filter((l) => isLineDone(l, done));
  const right = before.findLastIndex((l) => l.kind === "check" && l.check === line.check);
  return before.slice(right + 1);
}

/**
 * What can be behind a "no" at a check, what is tried soonest first: out of what went back since the same was
 * last right. The last of them halves what is left, where much went back:
 * that finds it however little is known.
 *
 * @param done keys of finished lines
 * @returns steps named in it are back, and the one that is asked about
 */
export function suspectsOf(
  job: Job,
  plan: Pick<RebuildPlan, "steps">,
  line: CheckLine,
  done: ReadonlySet<string>,
): Suspect[] {
  const lines = sinceRight(plan, line, done);
  const stepOf = (id: string): StripStep[] => job.steps.filter((s) => s.id === id);
  const scene: Scene = {
    job,
    check: line.check,
    at: stepOf(line.after)[0],
    since: [...lines]
      .reverse()
      .flatMap((l) => (l.kind === "fit" || l.kind === "unblock" ? stepOf(l.undoes) : [])),
    greased: lines.flatMap((l) =>
      l.kind === "grease" ? job.lubePoints.filter((g) => g.id === l.lubePoint) : [],
    ),
    names: (s) => withComma(stepThing(job, s.id)),
  };
  const found = RULES.filter((r) => r.checks.includes(line.check)).flatMap((r) => r.of(scene));
  return WORKS_TOGETHER.includes(line.check) ? [...found, ...halved(scene)] : found;
}

/**
 * Checks of how things work together. How a ring or a clip lies is a matter of that ring, and nothing that
 * went back before is behind it.
 */
const WORKS_TOGETHER: readonly string[] = [
  "turns-freely",
  "lies-flat",
  "end-play",
  "timing-together",
  "belt-true",
  "wires-clear",
];

/** Where it cannot be told: the last one alone, or of several the middle one. */
function halved({ since, names }: Scene): Suspect[] {
  const [last] = since;
  if (!last) return [];
  if (since.length < 4)
    return [
      {
        id: `last:${last.id}`,
        says: `Something at ${names(last)} which went back last.`,
        tell: "Open it again and ask the same. Is it right then, it was that.",
        step: last.id,
      },
    ];
  const middle = since[Math.ceil(since.length / 2) - 1] as StripStep;
  return [
    {
      id: `half:${middle.id}`,
      says: `Not found: ${since.length} steps went back since it was last right.`,
      tell: `Halve them: open as far as ${names(middle)} and ask the same there. It lies in the half that changes the answer, whatever it is.`,
      step: middle.id,
    },
  ];
}
