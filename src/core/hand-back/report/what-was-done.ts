import { lockerRefused } from "../../hardware/bench/locker";
import { hardwareInWords, wasLocked } from "../../hardware/piece";
import { endingNamed } from "../../job/ending";
import { goingInOf } from "../../job/going-in";
import type { Job } from "../../job/job";
import { failedRunOf, finalKey, undoKey } from "../../job/keys";
import { partNamed } from "../../job/part";
import { pieceNamed } from "../../job/piece-named";
import { type Service, serviceDone } from "../../job/service";
import { LEAST_WEIGHED_G } from "../../lube/slips";
import { insteadOf } from "../../order/missing";
import { money } from "../../quantity/money";
import { capital, listed, sentence } from "../../sentence";
import { type Block, type ListItem, type Section, words } from "./blocks";
import type { ReportInput } from "./report-input";

/** What was done, in the past tense and the customer's words; what the technician noted is kept as it is. */
export function whatWasDone({ job, shop }: Pick<ReportInput, "job" | "shop">): Section {
  const ending = job.ending && endingNamed(job.ending.how);
  const together = job.steps.length > 0 && (ending?.together ?? true);
  const repaired = together && !ending;
  const done = [
    together && takenApart(job),
    ...(repaired ? [...renewed(job), ...cleanedAndGreased(job), ...servicesDone(job), ...locked(job)] : []),
    ...(together
      ? insteadOf(job).map(
          ({ piece, qty, from }) =>
            `${capital(hardwareInWords({ ...piece, qty, at: undefined }))} ` +
            `went in for what was lost here, from: ${from}.`,
        )
      : []),
    ...(repaired
      ? goingInOf(job).flatMap((g) =>
          g.staysOut.map((p) => `Left out: ${pieceNamed(job, p)}, because ${p.why}.`),
        )
      : []),
    ...(repaired ? setLast(job) : []),
    ...job.answers.flatMap((a) => {
      const n = failedRunOf(a.question);
      return n === undefined ? [] : [`Opened again${n === "1" ? "" : ` (${n})`}: ${sentence(a.note ?? "")}`];
    }),
    job.steps.length === 0 && "It was not taken apart.",
  ].filter(Boolean);
  return {
    title: "What was done",
    blocks: [
      ...(ending && job.ending
        ? words(
            [
              ending.tells,
              sentence(job.ending.why),
              job.ending.amount !== undefined &&
                [
                  money(job.ending.amount, shop.currency),
                  job.ending.how === "bought-out" ? "paid to you." : "due.",
                ].join(" "),
            ]
              .filter(Boolean)
              .join(" "),
            { strong: true },
          )
        : []),
      ...words(
        job.warrantyOf
          ? `Came back within the warranty of ${job.warrantyOf}: the work is not charged.`
          : undefined,
      ),
      ...words(done.join(" ") || undefined),
      ...advisedAgainst(job),
    ],
  };
}

/** That every piece was counted is said only where every piece was. */
function takenApart({ steps, answers }: Job): string {
  const pieces = steps.flatMap((s) => s.hardware ?? []);
  const isCounted =
    pieces.length > 0 &&
    !pieces.some((h) => h.uncounted) &&
    !answers.some((a) => a.question.startsWith("missing:"));
  const counted = isCounted ? "; every screw and small part counted out and back" : "";
  const inSteps = `${steps.length} ${steps.length === 1 ? "step" : "steps"}`;
  return `Taken apart in ${inSteps} and put together again${counted}.`;
}

function renewed(job: Job): string[] {
  const parts = job.parts.filter((p) => p.renew).map((p) => partNamed(job, p.id));
  const besides = goingInOf(job).flatMap((g) => g.with.filter((c) => !c.without).map((c) => c.name));
  return parts.length ? [`Renewed: ${listed([...parts, ...besides])}.`] : [];
}

/** Rooms that were cleaned and filled; what else was cleaned is named together. */
function cleanedAndGreased(job: Job): string[] {
  const filled = (job.chambers ?? []).flatMap((c) => {
    const points = job.lubePoints.filter((g) => g.chamber === c.id && g.lubricant);
    const isIn =
      points.length > 0 &&
      points.every((g) => g.weighedGrams !== undefined || (g.grams ?? 0) < LEAST_WEIGHED_G);
    const names = [...new Set(points.map((g) => g.lubricant ?? ""))];
    return isIn
      ? [
          {
            id: c.id,
            says: `${capital(c.name)}: ${job.washed ? "cleaned, and " : ""}lubricated with ${listed(names)}.`,
          },
        ]
      : [];
  });
  const cleaned = [
    ...new Set(
      job.services.flatMap((v) => {
        if (!isPlannedCleaning(v) || filled.some((f) => f.id === v.chamber)) return [];
        const chamber = job.chambers?.find((c) => c.id === v.chamber);
        return [v.part ? partNamed(job, v.part) : (chamber?.name ?? "its inside")];
      }),
    ),
  ];
  return [...(cleaned.length ? [`Cleaned: ${listed(cleaned)}.`] : []), ...filled.map((f) => f.says)];
}

/** A line of the cleaning plan: its note tells the bench how, and not the customer what. */
const isPlannedCleaning = (v: Service): boolean =>
  v.do === "clean" && (v.method !== undefined || v.chamber !== undefined);

/** A bond is said with its limits: a customer can undo it by washing or heating it. */
const BOND_LIMITS =
  "It is not as strong as the part was when it was new: no blows, no hot water, no solvent.";

const servicesDone = (job: Job): string[] =>
  job.services
    .filter((v) => !isPlannedCleaning(v))
    .map(({ do: what, part, note }) => {
      const thing = part ? partNamed(job, part) : "case";
      return (
        sentence(`${serviceDone(what)}: ${thing}${note ? `, ${note}` : ""}`) +
        (what === "bond" ? ` ${BOND_LIMITS}` : "")
      );
    });

/** Pieces whose thread locker was renewed, at the steps that are back. */
function locked({ steps, linesDone }: Job): string[] {
  const pieces = steps
    .filter((s) => linesDone.includes(undoKey(s.id)))
    .flatMap((s) => (s.hardware ?? []).filter((h) => wasLocked(h) && !lockerRefused(h.into)))
    .map((h) => hardwareInWords({ ...h, at: undefined, locker: undefined }));
  return pieces.length ? [`Thread locker renewed on ${listed(pieces)}.`] : [];
}

/** What was set last, with what was measured. */
const setLast = (job: Job): string[] =>
  job.steps.flatMap((s) =>
    (s.back ?? [])
      .filter((b) => b.when === "calibrate")
      .flatMap((b, n) => {
        const a = job.answers.find((x) => x.question === finalKey(`calibrated-${s.id}-${n}`));
        return a?.answer === "yes" ? [`Set and measured: ${b.says}${a.note ? ` (${a.note})` : ""}.`] : [];
      }),
  );

/** What was advised against, or left by decision, and why: it is written down for both sides. */
function advisedAgainst(job: Job): Block[] {
  const items: ListItem[] = [
    ...job.findings.flatMap((f) =>
      f.fate === "decline"
        ? [
            {
              lead: capital(partNamed(job, f.part)),
              says: `not worth it${f.fateWhy ? `: ${f.fateWhy}` : ""}`,
            },
          ]
        : [],
    ),
    ...(job.chambers ?? []).flatMap((c) =>
      c.override !== undefined
        ? [
            {
              lead: capital(c.name),
              says: `not a lubricant registered for food contact, by decision: ${c.override}`,
            },
          ]
        : [],
    ),
  ];
  return items.length
    ? [
        { is: "words", says: "Advised against:", strong: true },
        { is: "list", items },
      ]
    : [];
}
