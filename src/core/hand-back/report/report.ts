import { lockerCure, lockerRefused } from "../../hardware/bench/locker";
import { wasLocked } from "../../hardware/piece";
import { endingNamed } from "../../job/ending";
import { sizeOf } from "../../job/gear-notes";
import { ON_PAPER } from "../../job/going-home";
import type { Job } from "../../job/job";
import { finalKey, undoKey } from "../../job/keys";
import { partNamed } from "../../job/part";
import { FEW_STEPS } from "../../job/step";
import { foundSays, greaseStatesIn, isFailure, symptomSays } from "../../judge/failure-modes";
import { ROOTS } from "../../judge/roots";
import { capital, listed } from "../../sentence";
import { LOOSE_ITEMS, looseItemsInWords } from "../loose-items";
import { OLD_PARTS, oldPartsInWords } from "../old-parts";
import { billed, theBill } from "./bill-section";
import { type Block, type ListItem, type Report, type Section, type SheetPicture, words } from "./blocks";
import { careOf, customerCaution, nextLookSays } from "./care";
import type { ReportInput } from "./report-input";
import { lubricantRows, partRows } from "./rows-of-parts";
import { sameViews } from "./same-views";
import { allTests, testsOf } from "./tests-section";
import { whatWasDone } from "./what-was-done";

/**
 * The return sheet of a job: what was wrong and why, what was done, what went in, how it was tested, how it
 * lasts, what it costs; with its annex. Plain words for the customer, figures for the next shop.
 */
export function reportOf(input: ReportInput): Report {
  const { job, shop, day } = input;
  const repaired = !job.ending;
  const { parts, bill } = billed(input);
  const { kind, maker, model, serial } = job;
  const rows = partRows(input, parts, bill.parts);
  const oils = lubricantRows(input);
  // half a page: what went in stands in the bill, what was wrong beside what was done
  const isSmall = repaired && job.steps.length <= FEW_STEPS && rows.length <= FEW_PARTS && !oils.length;
  return {
    title: `Return sheet ${job.number}`,
    unit: [
      capital(kind),
      [`${maker} ${model}`.trim(), serial && `serial ${serial}`].filter(Boolean).join(" · "),
    ]
      .filter(Boolean)
      .join(", "),
    shop,
    day: day(job.handedBackAt ?? input.now),
    sections: [
      ...(isSmall
        ? [together("The repair", broughtIn(input), whatWasWrong(job), whatWasDone(input))]
        : [broughtIn(input), whatWasWrong(job), whatWasDone(input)]),
      ...(repaired && !isSmall
        ? [{ title: "Parts and lubricants", blocks: [{ is: "rows", rows: [...rows, ...oils] } as const] }]
        : []),
      testsOf(input),
      ...(repaired ? [soThatItLasts(input)] : []),
      ...(repaired ? [theBill(input, bill, isSmall ? rows : undefined)] : []),
      ...signed(input),
    ].filter((s) =>
      s.blocks.some((b) => (b.is === "rows" ? b.rows : b.is === "list" ? b.items : [b]).length > 0),
    ),
    annex: input.form === "short" ? [] : annexOf(input),
  };
}

/** So many parts stand in the bill itself. */
const FEW_PARTS = 2;

/** Several sections under one heading. */
const together = (title: string, ...sections: readonly Section[]): Section => ({
  title,
  blocks: sections.flatMap((s) => s.blocks.filter((b) => b.is !== "list" || b.items.length > 0)),
});

function broughtIn({ job, day }: ReportInput): Section {
  const by = job.customerName ? `${job.customerName}, taken in` : "Taken in";
  return {
    title: "What was brought in",
    blocks: [
      ...words(`${by} ${day(job.takenIn)}.${job.complaint.trim() ? ` “${job.complaint}”` : ""}`),
      ...words(job.symptoms.length ? `Noted: ${job.symptoms.map(symptomSays).join(", ")}.` : undefined),
      ...words(
        looseItemsInWords(
          job.looseItems,
          job.home?.ends,
          job.answers.some((a) => a.question === finalKey(LOOSE_ITEMS)),
        ),
      ),
    ],
  };
}

const failedOf = (job: Job) => job.findings.filter((f) => isFailure(f.mode));

function whatWasWrong(job: Job): Section {
  const failed = failedOf(job);
  const looked = job.findings.filter((f) => f.mode && !isFailure(f.mode));
  const states = greaseStatesIn(job.greaseStates).filter((g) => g.state !== "good");
  const causes = [
    ...(job.causes.chosen ?? []).flatMap((c) => ROOTS.find((r) => r.cause === c)?.told ?? []),
    job.causes.words,
  ].filter(Boolean);
  const items: ListItem[] = [
    ...failed.map((f) => ({
      lead: capital(partNamed(job, f.part)),
      says: [
        foundSays(f),
        f.extent && `, ${f.extent}`,
        f.fate === "keep" && f.fateWhy && `; left as it is: ${f.fateWhy}`,
        f.fate === "repair" && f.fateWhy && `; mended: ${f.fateWhy}`,
        f.identity &&
          ` (${f.identity.teeth} teeth, ${sizeOf(f.identity)}${f.identity.diametralPitch ? "" : " mm"}, ${f.identity.pressureAngleDeg}°${f.identity.helixAngleDeg ? `, helix ${f.identity.helixAngleDeg}°` : ""})`,
      ]
        .filter(Boolean)
        .join(""),
    })),
    ...(job.nothingFailed
      ? [{ says: job.nothingFailed === "service" ? "Nothing failed: a service." : "No fault was found." }]
      : []),
    ...(looked.length
      ? [
          {
            says: `Looked at: ${looked.map((f) => `${partNamed(job, f.part)}, ${foundSays(f)}${f.extent ? ` (${f.extent})` : ""}`).join("; ")}.`,
          },
        ]
      : []),
    ...states.map((g) => ({ says: `The old lubricant: ${g.told}.` })),
    ...(failed.length + looked.length + states.length === 0 &&
    !job.nothingFailed &&
    (!job.steps.length || job.ending)
      ? [{ says: "It was not examined." }]
      : []),
    ...(causes.length ? [{ lead: "Why", says: causes.join(". ") }] : []),
  ];
  return { title: failed.length ? "What was wrong" : "What was found", blocks: [{ is: "list", items }] };
}

/** Until when locked screws are not loaded fully, where that is later than it goes home. */
function fullLoad({ job, time, now }: ReportInput): string | undefined {
  const full = job.steps.flatMap((s) => {
    const at = job.linesAt?.[undoKey(s.id)];
    const locked = (s.hardware ?? []).filter((h) => wasLocked(h) && !lockerRefused(h.into));
    if (!at || !locked.length) return [];
    const { fullMinutes } = lockerCure({ metals: locked.flatMap((h) => h.into ?? []) });
    return [new Date(Date.parse(at) + fullMinutes * 60_000).toISOString()];
  });
  const last = full.sort().at(-1);
  return last !== undefined && last > (job.handedBackAt ?? now)
    ? `Use it gently until ${time(last, true)}: the adhesive that locks its screws is fully hard then.`
    : undefined;
}

function soThatItLasts(input: ReportInput): Section {
  const { job, shop } = input;
  const care = careOf(job);
  const nextLook = job.home?.nextLook ?? (care.look && nextLookSays(care.look));
  return {
    title: "So that it lasts",
    blocks: [
      {
        is: "list",
        items: [
          ...care.says.map((says) => ({ says })),
          ...(job.hazards ?? []).flatMap((h) => {
            const says = customerCaution(h, job.supplies, job.kind);
            return says ? [{ lead: "Caution", says }] : [];
          }),
        ],
      },
      ...words(
        [nextLook && `Next look ${nextLook.replace(/\.$/, "")}.`, care.sooner].filter(Boolean).join(" "),
      ),
      ...words(fullLoad(input)),
      ...words(
        shop.warrantyMonths > 0
          ? `Warranty of the shop: ${shop.warrantyMonths} months on the work and on the parts named here, not on what wears, nor on what was advised against. Your rights by law stand beside it.`
          : undefined,
      ),
    ],
  };
}

function signed({ job, day }: ReportInput): Section[] {
  const signature = job.home?.signature;
  const without = job.home?.notSigned;
  const leaves = !job.ending || endingNamed(job.ending.how).leaves;
  const old = oldParts(job);
  const blocks: Block[] = [
    ...words(old),
    ...(signature
      ? [
          {
            is: "signature" as const,
            signature: { says: `${signature.by}, ${day(signature.at)}`, strokes: signature.strokes },
          },
        ]
      : []),
    ...(leaves && !signature && (without ?? ON_PAPER) === ON_PAPER
      ? [{ is: "signature" as const, signature: { says: "Received: day, name", strokes: [] } }]
      : []),
    ...words(without && without !== ON_PAPER ? `Not signed: ${without}.` : undefined),
    ...words(
      (job.home?.openedAgain ?? [])
        .map((o) => `Went home on ${day(o.wentHome)}, opened again on ${day(o.at)}: ${o.why}.`)
        .join(" ") || undefined,
      {
        small: true,
      },
    ),
  ];
  return [{ title: "Handed over", blocks }];
}

/** What became of the parts that came out for good; before anybody said so, what was agreed. */
function oldParts(job: Job): string | undefined {
  const out = job.ending ? [] : job.parts.filter((p) => p.renew).map((p) => partNamed(job, p.id));
  if (!out.length) return undefined;
  const which = listed(out);
  const a = job.answers.find((x) => x.question === finalKey(OLD_PARTS.check));
  if (a?.answer === "left out") return `Old parts (${which}): ${a.note ?? "nothing was said"}.`;
  if (a) return oldPartsInWords(job, a.answer, job.home?.ends);
  return job.disposeConsent
    ? `Old parts stay here and are disposed of, as agreed: ${which}.`
    : `Old parts go back to you: ${which}.`;
}

/** All tests, gear faces with their marks, pictures of the same view before and after, of what came with it. */
function annexOf(input: ReportInput): Section[] {
  const { job } = input;
  const failed = failedOf(job);
  const pictures = sameViews(job)
    .flatMap(({ says, before, after }): SheetPicture[] => [
      { sha256: before, says: after ? `${says}, before` : says },
      ...(after ? [{ sha256: after, says: `${says}, after` }] : []),
    ])
    .slice(0, 8);
  const loose = Object.entries(job.loosePictures).flatMap(([item, name]) =>
    job.pictures.filter((p) => p.name === name).map((p) => ({ sha256: p.sha256, says: item })),
  );
  const gears: Block[] = failed.flatMap((f) =>
    f.identity && f.identity.teeth >= 4
      ? [
          {
            is: "gear" as const,
            gear: {
              teeth: f.identity.teeth,
              moduleMm: f.identity.moduleMm,
              pressureAngleDeg: f.identity.pressureAngleDeg,
              helixAngleDeg: f.identity.helixAngleDeg,
              profileShift: f.identity.profileShift,
              marks: f.teeth,
              says: `${capital(partNamed(job, f.part))}${f.extent ? `: ${f.extent}` : ""}`,
            },
          },
        ]
      : [],
  );
  return [
    ...allTests(input),
    ...(pictures.length ? [{ title: "Pictures", blocks: [{ is: "pictures" as const, pictures }] }] : []),
    ...(gears.length ? [{ title: "Gears, drawn from their numbers", blocks: gears }] : []),
    ...(loose.length
      ? [
          {
            title: "Came with it, and went back with it",
            blocks: [{ is: "pictures" as const, pictures: loose }],
          },
        ]
      : []),
  ];
}
