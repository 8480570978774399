import { type Bill, billOf, shippingOf } from "../../charge/bill";
import { type FittedParts, fittedParts } from "../../charge/fitted";
import { hardwareInWords } from "../../hardware/piece";
import { endingNamed } from "../../job/ending";
import { sizeOf } from "../../job/gear-notes";
import { ON_PAPER } from "../../job/going-home";
import { goingInOf } from "../../job/going-in";
import type { Job } from "../../job/job";
import { DOES_NOT_APPLY, failedRunOf, finalKey } from "../../job/keys";
import { partNamed } from "../../job/part";
import { pieceNamed } from "../../job/piece-named";
import { type Service, serviceSays } from "../../job/service";
import { CAUSE_RULES } from "../../judge/cause-rules";
import { FAILURE_MODES, greaseStatesIn, isFailure, modeNamed, symptomSays } from "../../judge/failure-modes";
import { LEAST_WEIGHED_G } from "../../lube/slips";
import type { QuoteLine } from "../../match/quote/quote";
import { insteadOf } from "../../order/missing";
import { money } from "../../quantity/money";
import { capital, listed, sentence } from "../../sentence";
import { finalChecks } from "../final-checks";
import { LOOSE_ITEMS, looseItemsInWords } from "../loose-items";
import { OLD_PARTS, oldPartsInWords } from "../old-parts";
import type { Block, ListItem, Report, Row, Section, SheetPicture } from "./blocks";
import { careOf, customerCaution, nextLookSays } from "./care";
import { inUnits } from "./in-units";
import type { ReportInput } from "./report-input";
import { lubricantRows, partRows } from "./rows-of-parts";
import { sameViews } from "./same-views";

/**
 * The return sheet of a job: what was wrong and why, what was done, what went in, how it was tested, how it
 * lasts, what it costs; with its annex. Plain words for the customer, figures for the next shop.
 */
export function reportOf(input: ReportInput): Report {
  const { job, shop, day } = input;
  const repaired = !job.ending;
  const { parts, bill } = billed(input);
  const { kind, maker, model, serial } = job;
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
      broughtIn(input),
      whatWasWrong(job),
      whatWasDone(input),
      ...(repaired
        ? [
            {
              title: "Parts and lubricants",
              blocks: [
                {
                  is: "rows",
                  rows: [...partRows(input, parts, bill.parts), ...lubricantRows(input)],
                } as const,
              ],
            },
          ]
        : []),
      testsOf(input),
      ...(repaired ? [soThatItLasts(input)] : []),
      ...(repaired ? [theBill(input, bill)] : []),
      ...signed(input),
    ].filter((s) => s.blocks.some((b) => b.is !== "rows" || b.rows.length > 0)),
    annex: input.form === "short" ? [] : annexOf(input),
  };
}

const words = (says: string | undefined, more: { strong?: boolean; small?: boolean } = {}): Block[] =>
  says ? [{ is: "words", says, ...more }] : [];

function broughtIn({ job, day }: ReportInput): Section {
  const by = job.customerName ? `${job.customerName}, taken in` : "Taken in";
  return {
    title: "What was brought in",
    blocks: [
      ...words(`${by} ${day(job.takenIn)}. “${job.complaint}”`),
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
    ...(job.causes.chosen ?? []).flatMap((c) => CAUSE_RULES.find((r) => r.cause === c)?.says ?? []),
    job.causes.words,
  ].filter(Boolean);
  const items: ListItem[] = [
    ...failed.map((f) => ({
      lead: capital(partNamed(job, f.part)),
      says: [
        FAILURE_MODES.find((m) => m.mode === f.mode)?.says,
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
            says: `Looked at: ${looked.map((f) => `${partNamed(job, f.part)}, ${modeNamed(f.mode)?.says}${f.extent ? ` (${f.extent})` : ""}`).join("; ")}.`,
          },
        ]
      : []),
    ...states.map((g) => ({ says: `The old lubricant: ${g.told}.` })),
    ...(failed.length + looked.length + states.length === 0 && !job.nothingFailed
      ? [{ says: "It was not examined." }]
      : []),
    ...(causes.length ? [{ lead: "Why", says: causes.join(". ") }] : []),
  ];
  return { title: failed.length ? "What was wrong" : "What was found", blocks: [{ is: "list", items }] };
}

/**
 * A bond is said with its limits: it is the one mending that a customer can undo by washing or heating it.
 */
const BOND_LIMITS =
  "It is not as strong as the part was when it was new: no blows, no hot water, no solvent.";

const serviceDone = (job: Job, { do: what, part, note }: Service): string =>
  sentence(`${serviceSays(what)} ${part ? partNamed(job, part) : "the case"}${note ? `: ${note}` : ""}`) +
  (what === "bond" ? ` ${BOND_LIMITS}` : "");

function whatWasDone({ job, shop }: ReportInput): Section {
  const ending = job.ending && endingNamed(job.ending.how);
  const together = job.steps.length > 0 && (ending?.together ?? true);
  const steps = `${job.steps.length} ${job.steps.length === 1 ? "step" : "steps"}`;
  const counted = job.steps.some((s) => s.hardware?.length)
    ? "; every screw, washer and clip counted out and back"
    : "";
  const done = [
    together && `Taken apart in ${steps} and put together again${counted}.`,
    ...(together && !ending ? renewedAndGreased(job) : []),
    ...(together && !ending ? job.services.map((v) => serviceDone(job, v)) : []),
    ...(together
      ? insteadOf(job).map(
          ({ piece, qty, from }) =>
            `${capital(hardwareInWords({ ...piece, qty, at: undefined }))} went in for what was lost on the bench, from: ${from}.`,
        )
      : []),
    ...(together && !ending
      ? goingInOf(job).flatMap((g) =>
          g.staysOut.map((p) => `Left out: ${pieceNamed(job, p)}, because ${p.why}.`),
        )
      : []),
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
                `${money(job.ending.amount, shop.currency)} ${job.ending.how === "bought-out" ? "paid to the customer" : "due"}.`,
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

/** What went in new, and what was lubricated with what. */
function renewedAndGreased(job: Job): string[] {
  const renewed = job.parts.filter((p) => p.renew).map((p) => partNamed(job, p.id));
  const besides = goingInOf(job).flatMap((g) => g.with.filter((c) => !c.without).map((c) => c.name));
  const filled = (job.chambers ?? []).flatMap((c) => {
    const points = job.lubePoints.filter((g) => g.chamber === c.id && g.lubricant);
    const isIn =
      points.length > 0 &&
      points.every((g) => g.weighedGrams !== undefined || (g.grams ?? 0) < LEAST_WEIGHED_G);
    const names = [...new Set(points.map((g) => g.lubricant ?? ""))];
    return isIn
      ? [`${capital(c.name)}: ${job.washed ? "cleaned, and " : ""}lubricated with ${listed(names)}.`]
      : [];
  });
  return [...(renewed.length ? [`Renewed: ${listed([...renewed, ...besides])}.`] : []), ...filled];
}

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

/**
 * Each with its figure, its limit, its instrument and when it was answered. What became of old parts is said
 * below.
 */
function testsOf({ job, shop, units, day, time }: ReportInput): Section {
  const asked = finalChecks(job, shop.limits)
    .filter((c) => !c.choices)
    .map((c) => ({ c, a: job.answers.find((x) => x.question === finalKey(c.check)) }))
    // what the unit does not have was not tested
    .filter(({ a }) => a?.answer !== DOES_NOT_APPLY);
  const days = new Set(asked.flatMap(({ a }) => (a ? [day(a.at)] : [])));
  const tests = asked.map(({ c, a }) => {
    const answer = !a
      ? "open"
      : a.value !== undefined
        ? inUnits(a.value, a.unit ?? "", units)
        : a.answer === "yes"
          ? "✓ yes"
          : "left out";
    const under = [a?.note && (a.value === undefined ? a.note : `Limit: ${a.note}`), a?.instrument]
      .filter(Boolean)
      .join("; ");
    return {
      asks: c.asks.replace(/\?$/, ""),
      answer,
      ...(a ? { at: time(a.at, days.size > 1) } : {}),
      ...(under ? { under } : {}),
    };
  });
  const [only] = days;
  return { title: days.size === 1 ? `Tests, ${only}` : "Tests", blocks: [{ is: "tests", tests }] };
}

function soThatItLasts({ job, shop }: ReportInput): Section {
  const care = careOf(job);
  return {
    title: "So that it lasts",
    blocks: [
      {
        is: "list",
        items: [
          ...care.says.map((says) => ({ says })),
          ...(job.hazards ?? []).map((h) => ({ lead: "Caution", says: customerCaution(h, job.supplies) })),
        ],
      },
      ...words(
        `Next look ${(job.home?.nextLook ?? nextLookSays(care)).replace(/\.$/, "")}. Sooner at the first click or new noise.`,
      ),
      ...words(
        shop.warrantyMonths > 0
          ? `Warranty of the shop: ${shop.warrantyMonths} months on the work and on the parts named here, not on what wears, nor on what was advised against. Your rights by law stand beside it.`
          : undefined,
      ),
    ],
  };
}

const agreedOf = (job: Job) => job.quotes.filter((q) => q.answer === "accepted").at(-1);

/** What it is charged, with what went in. */
function billed(input: ReportInput): { readonly parts: FittedParts; readonly bill: Bill } {
  const { job, shop, beside } = input;
  const parts = fittedParts(input);
  const bill = billOf({
    charges: parts.charges,
    shipping: shippingOf(job.orders),
    beside,
    agreed: agreedOf(job),
    rates: shop.rates,
    free: job.warrantyOf !== undefined,
  });
  return { parts, bill };
}

function theBill({ job, shop, day }: ReportInput, bill: Bill): Section {
  const agreed = agreedOf(job);
  const amount = (x: number): string => money(x, shop.currency);
  const of = (...what: QuoteLine["what"][]): QuoteLine[] => bill.lines.filter((l) => what.includes(l.what));
  const line = (what: string, lines: readonly QuoteLine[], says = ""): Row[] => {
    const sum = lines.reduce((total, l) => total + l.amount, 0);
    return sum > 0 ? [{ what, says, amount: amount(sum) }] : [];
  };
  const minutes = of("work").reduce((sum, l) => sum + (Number.parseFloat(l.qty) || 0), 0);
  const more = bill.quoted === undefined ? 0 : Math.round((bill.total - bill.quoted) * 100) / 100;
  const rows: Row[] = [
    ...line("Parts", of("part")),
    // nobody had to agree to it: by what it was worked out is said
    ...line("Work", of("work"), agreed ? "" : `${Math.round(minutes)} min, by the plan`),
    ...line("Lubricant and cleaning", of("consumable")),
    ...line("Shipping", of("shipping")),
    ...(bill.tax > 0 ? [{ what: "Tax", says: `${shop.rates.taxPercent} %`, amount: amount(bill.tax) }] : []),
    {
      what: job.warrantyOf
        ? "Total: not charged"
        : agreed
          ? `Total, with work and tax; as ${agreed.byWhom || "the customer"} agreed on ${day(agreed.answeredOn ?? agreed.madeAt)}: ${amount(agreed.total)}`
          : "Total, with work and tax",
      says: "",
      ...(job.warrantyOf ? {} : { amount: amount(bill.total) }),
      strong: true,
    },
  ];
  return {
    title: "What it costs",
    blocks: [
      { is: "rows", rows },
      ...words(
        more > 0
          ? `${amount(more)} more than was agreed.`
          : more < 0 && !job.warrantyOf
            ? `${amount(-more)} less than was agreed.`
            : undefined,
        {
          small: true,
        },
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
    : `Old parts go back to the customer: ${which}.`;
}

/** Gear faces with their marks, pictures before and after of the same view, pictures of what came with it. */
function annexOf({ job }: ReportInput): Section[] {
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
