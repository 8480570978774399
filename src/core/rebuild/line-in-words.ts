import { lookAsks, lookIfNot } from "../assemblies/match";
import { howAt, isOiled } from "../grease/point-kinds";
import { passesInWords } from "../hardware/bench/tightening-order";
import { kindsFrom } from "../hardware/part-kind";
import { type Hardware, type HardwareFacts, hardwareInWords, LOOSENED } from "../hardware/piece";
import { drawnInWords, STARTED } from "../hardware/tightening";
import { besideNew } from "../job/beside-new";
import { companionKey, companionSays, takesThePlaceOf } from "../job/goes-in";
import { goingInOf } from "../job/going-in";
import { gotInWords } from "../job/got";
import type { Job } from "../job/job";
import { partName, partNamed } from "../job/part";
import { pieceNamed } from "../job/piece-named";
import type { PieceRef } from "../job/piece-ref";
import { serviceHow, serviceSays } from "../job/service";
import type { StripStep } from "../job/step";
import { stepThing } from "../job/step-named";
import { isFailure } from "../judge/failure-modes";
import { isAmountOpen } from "../lube/amount-open";
import { amountAt } from "../lube/amount-says";
import { type KeptDry, keepDry } from "../lube/cleaning";
import { staysOut } from "../order/hardware-ledger";
import { namesPiece } from "../order/names-piece";
import type { FitLine, Minded, RebuildLine, SetLine } from "../order/rebuild-line";
import { renewsPiece } from "../order/step-return";
import { liesOver, mindAtRebuild } from "../order/step-words";
import { capital } from "../sentence";
import { teethOff, teethOffInWords } from "./one-tooth-off";
import { mindByHold, nothingBack, partsBack, piecesBack } from "./put-back-words";

export interface LineWords {
  /** small line above: what it belongs to */
  readonly belongs: string;
  readonly title: string;
  readonly facing?: string;
  readonly marks: readonly string[];
  readonly wires: readonly { readonly colour: string; readonly to: string }[];
  readonly hardware: readonly Hardware[];
  readonly torqueNm?: number;
  readonly pattern?: string;
  /** its screws stand in a row */
  readonly inARow?: boolean;
  /** how screws that press a seal are drawn down */
  readonly passes?: string;
  /** how they are drawn besides: all started first, in passes */
  readonly drawn?: readonly string[];
  readonly renewed: readonly string[];
  /** the pieces as they go back on each other: what lies lowest first */
  readonly stack: readonly string[];
  /** what else must be minded: timing, how it was set */
  readonly mind: readonly string[];
  /** what is usually minded where something goes together like this: struck by one press */
  readonly known?: readonly Minded[];
  /** how it came off, word for word: no instruction */
  readonly off?: readonly string[];
  /** where in the tray it lies */
  readonly tray?: string;
  /** the step whose picture is shown, unless a picture was pointed at */
  readonly step?: string;
  readonly picture?: string;
  readonly amount?: ReturnType<typeof amountAt>;
  /** of a check: what to do where the answer is no */
  readonly ifNot?: string;
  readonly note?: string;
}

/**
 * What is to be minded of a part that is not as what came out: a kit's piece that differs, or one that goes
 * back as it is although it was found bad.
 */
function differsAt(job: Job, part: string): string[] {
  const f = job.findings.find((x) => x.part === part);
  const renew = job.parts.find((p) => p.id === part)?.renew;
  if (job.ending) return [];
  if (renew)
    return f?.got?.differs ? [`${partNamed(job, part)} differs from what came out: ${f.got.differs}`] : [];
  return f?.fate === "keep" && isFailure(f.mode)
    ? [`${partNamed(job, part)} goes back as it is: ${f.fateWhy}`]
    : [];
}

/** What goes in new: its number, its lot, and from which parcel, or from where it was got. */
function newIn(job: Job, part: string): string {
  const f = job.findings.find((x) => x.part === part);
  if (f?.got) return `, ${gotInWords(f.got)}`;
  if (!f?.chosen) return "";
  // the last that came for this place and was not sent back
  const came = job.arrivals.findLast(
    (a) =>
      a.number === f.chosen &&
      (a.part === undefined || a.part === part) &&
      a.decision !== "sent-back" &&
      a.decision !== "stock",
  );
  return [
    `, ${f.chosen}`,
    came?.lot && `lot ${came.lot}`,
    came ? `out of the parcel of ${came.day} from ${came.supplier}` : undefined,
  ]
    .filter(Boolean)
    .join(", ");
}

/**
 * The screws of a joint with a gasket or an O-ring in it: one that came off with them, or in the two steps
 * that they laid open.
 */
function passesOver(job: Job, step: StripStep, torqueNm: number | undefined): string | undefined {
  const count = (step.hardware ?? [])
    .filter((h) => (h.kind === "screw" || h.kind === "nut") && !BY_HAND.test(`${h.form} ${h.finish} ${h.at}`))
    .reduce((n, h) => n + h.qty, 0);
  if (count < 3) return undefined;
  const at = job.steps.findIndex((s) => s.id === step.id);
  const isSeal = (kind: string | undefined): boolean => kind === "o-ring" || kind === "gasket";
  // screws that came off with a part of their own draw that one
  const found = job.steps
    .slice(at, step.parts?.length ? at + 1 : at + 3)
    .find(
      (s) =>
        s.hardware?.some((h) => isSeal(h.kind)) ||
        s.parts?.some((p) => isSeal(job.parts.find((x) => x.id === p)?.kind)),
    );
  return found && `On the seal of step ${job.steps.indexOf(found) + 1}: ${passesInWords(torqueNm)}.`;
}
/** Drawn by hand, and by no figure. */
const BY_HAND = /\b(?:wing|hand|thumb|knurled)\b/i;
/** In a row rather than round a flange, as it was said where it sits. */
const inARow = (hardware: readonly HardwareFacts[]): boolean =>
  hardware.some((h) => /\b(row|line)\b/i.test(`${h.at ?? ""} ${h.tighten?.pattern ?? ""}`));

/** The torque that all of a line's pieces have; undefined: none, or each its own, which stands beside it. */
function oneTorque(hardware: readonly HardwareFacts[]): number | undefined {
  const torques = new Set(hardware.flatMap((h) => h.tighten?.torqueNm ?? []));
  return torques.size === 1 ? [...torques][0] : undefined;
}

const BARE = { marks: [], wires: [], hardware: [], renewed: [], stack: [], mind: [] };

/** A line of the plan as it is said to the technician. */
export function lineInWords(job: Job, line: RebuildLine): LineWords {
  const number = (id: string): number => stepNumber(job, id);
  const name = (id: string): string => partNamed(job, id);
  const stepOfPart = (id: string | undefined): string | undefined =>
    job.steps.find((s) => id !== undefined && s.parts?.includes(id))?.id;
  if (line.kind === "grease") {
    const g = job.lubePoints.find((x) => x.id === line.lubePoint);
    const chamber = job.chambers?.find((c) => c.id === g?.chamber);
    const inIt = g?.weighedGrams ?? g?.grams;
    const dry = keepDry(job).filter((d) => d.chamber !== undefined && d.chamber === g?.chamber);
    return {
      ...BARE,
      belongs: "lubricate",
      title: `${g?.lubricant ?? "Grease"}: ${g?.where ?? (g?.part ? name(g.part) : "")}`,
      ...(inIt !== undefined && { amount: amountAt(inIt, { oil: isOiled(g?.kind, chamber?.filling) }) }),
      note: g?.how ?? (g?.kind && howAt(g.kind, chamber)),
      mind: [
        ...(g && isAmountOpen(chamber, g)
          ? [
              "How much goes in is not known yet: say at Lube what the maker names, what it holds, or what came out.",
            ]
          : []),
        ...dry.map((d) => `Stays dry: ${d.says}${d.spot ? ", hatched in the picture" : ""}.`),
      ],
      step: g?.reachedBy ?? stepOfPart(g?.part),
      picture: (g?.spot ?? dry.find((d) => d.spot)?.spot)?.picture,
    };
  }
  if (line.kind === "service") {
    const v = job.services.find((x) => x.id === line.service);
    const place = v?.part ? name(v.part) : v?.reachedBy ? `what step ${number(v.reachedBy)} laid open` : "";
    return {
      ...BARE,
      belongs: "before it goes on",
      title: `${serviceSays(v?.do ?? "")} ${place}`,
      mind: serviceHow(v?.do),
      note: v?.note,
      step: v?.reachedBy ?? stepOfPart(v?.part),
    };
  }
  if (line.kind === "mind") {
    const thing = stepThing(job, line.of);
    const when = {
      instead: `how ${thing}, goes on`,
      before: `before ${thing}, goes back`,
      while: `while ${thing}, goes on`,
      final: `before ${thing}, is made final`,
      after: `now that ${thing}, is on`,
      closing: `before anything closes over ${thing}`,
      end: "at the very end",
      calibrate: `set and measured last, at ${thing}`,
    };
    return { ...BARE, belongs: when[line.when], title: capital(line.says), step: line.of };
  }
  if (line.kind === "tighten") {
    const step = stepOf(job, line.of);
    const drawn = drawing(job, step, hardwareOf(step, line.hardware));
    return {
      ...BARE,
      ...drawn,
      drawn: drawn.drawn.filter((d) => d !== STARTED),
      belongs: `at ${stepThing(job, line.of)}, left loose until now`,
      title: tightenTitle(drawn.hardware),
      step: line.of,
    };
  }
  if (line.kind === "check") {
    const parts = stepOf(job, line.after)?.parts ?? [];
    return {
      ...BARE,
      belongs: `at ${stepThing(job, line.after)}`,
      title: lookAsks(line.check, job.ownAssemblies),
      mind: line.check === "timing-together" ? teethOffInWords(teethOff(job, parts)) : [],
      ifNot: lookIfNot(line.check, job.ownAssemblies),
      step: line.after,
    };
  }
  if (line.kind === "with" || line.kind === "take-out") {
    const c = goingInOf(job)
      .find((g) => g.part === line.part)
      ?.with.find((w) => companionKey(w) === line.companion);
    const base = {
      ...BARE,
      belongs: `goes in with the new ${name(line.part)}`,
      step:
        job.steps.find((s) => s.parts?.some((p) => c && takesThePlaceOf(c, { name: name(p) })))?.id ??
        stepOfPart(line.part),
    };
    if (!c) return { ...base, title: "" };
    const old = c.replaces?.trim();
    if (line.kind === "take-out")
      return {
        ...base,
        title: `Take out the old ${old}: ${c.name} instead`,
        mind: [
          `No step of the strip took the ${old} off: look first what holds and connects it, and lay down what comes off with it as steps of its own.`,
        ],
      };
    return {
      ...base,
      title: old
        ? `Put in, in place of the old ${old}: ${companionSays(c)}`
        : `Put in with the new ${name(line.part)}: ${companionSays(c)}`,
      mind: [
        ...(c.replaces === undefined && mayReplace(c.name)
          ? [
              `Does the ${c.name} take the place of something that is in the unit? Then say so at Match: that comes out first.`,
            ]
          : []),
        ...(old
          ? ["Fastened and connected as the old one was; where it differs, by its maker’s sheet."]
          : []),
        ...(c.got?.differs ? [`It differs from what came out: ${c.got.differs}`] : []),
      ],
      note: c.got && gotInWords(c.got),
    };
  }
  return line.kind === "set" ? settingInWords(job, line) : undoingInWords(job, line);
}

const stepNumber = (job: Job, id: string): number => job.steps.findIndex((s) => s.id === id) + 1;
const putsBack = (job: Job, id: string): string => {
  const title = job.steps.find((s) => s.id === id)?.title;
  return `puts back step ${stepNumber(job, id)}${title ? `: ${title}` : ""}`;
};

/** What lies under a step's parts, or the parts before what holds them. */
function settingInWords(job: Job, line: SetLine): LineWords {
  const step = stepOf(job, line.of);
  const hardware = hardwareOf(step, line.hardware);
  const renewed = renewedPieces(job, hardware, step);
  const base = {
    ...BARE,
    belongs: putsBack(job, line.of),
    hardware,
    renewed,
    tray: step?.tray,
    step: line.of,
  };
  if (!step) return { ...base, title: "" };
  if (line.what === "last") {
    const names = line.parts.map((p) => partNamed(job, p));
    return {
      ...base,
      title: `Put back over what was just drawn: ${names.join(", ")}`,
      renewed: renewedParts(job, line.parts),
    };
  }
  if (line.what !== "parts") return { ...base, title: piecesBack(hardware, step) };
  return { ...base, known: line.minds, ...partsInWords(job, step, line.parts, hardware, true) };
}

/** Parts of which a unit has one: a new one that comes along mostly takes the place of the old. */
const ONE_OF: readonly string[] = [
  "motor", "gear", "shaft", "housing", "cover", "board", "switch", "fan", "pulley", "belt", "bearing", "assembly",
]; // biome-ignore format: a list
const mayReplace = (name: string): boolean => ONE_OF.includes(kindsFrom(name)[0] ?? "");

/** What goes in new of a line's pieces: in their place, or because they were judged, like parts. */
function renewedPieces(job: Job, hardware: readonly Hardware[], step: StripStep | undefined): string[] {
  if (job.ending) return [];
  const byKit = goingInOf(job).flatMap((g) =>
    g.with
      .filter((c) => !c.without)
      .flatMap((c) => {
        const old = hardware.find((h) => h.id === renewsPiece(job.steps, g.part, c));
        return old ? [`${hardwareInWords({ ...old, at: undefined })}: new, ${companionSays(c)}`] : [];
      }),
  );
  const judged = job.parts.filter(
    (p) =>
      p.renew && step?.parts?.includes(p.id) && hardware.some((h) => p.piece === h.id || namesPiece(p, h)),
  );
  return [...byKit, ...judged.map((p) => `${partName(p)}: new${newIn(job, p.id)}`)];
}

const renewedParts = (job: Job, ids: readonly string[]): string[] =>
  ids
    .filter((p) => !job.ending && job.parts.find((x) => x.id === p)?.renew)
    .map((p) => `${partNamed(job, p)}: new${newIn(job, p)}`);

/**
 * What is said of a step's parts where they go back.
 *
 * @param isHeld what holds them goes back with a line of its own
 */
function partsInWords(
  job: Job,
  step: StripStep,
  ids: readonly string[],
  beside: readonly Hardware[],
  isHeld: boolean,
) {
  const parts = ids.flatMap((id) => job.parts.find((p) => p.id === id) ?? []);
  const going = job.ending ? [] : goingInOf(job).filter((g) => ids.includes(g.part));
  const facing = going.find((g) => g.facing)?.facing;
  const name = (id: string): string => partNamed(job, id);
  return {
    title: ownWay(step) ?? partsBack(step, parts, ids.map(name), beside, isHeld),
    facing: facing ?? step.facing,
    marks: step.marks ?? [],
    renewed: [...renewedPieces(job, beside, step), ...renewedParts(job, ids)],
    // where nothing else goes on with it, the stack is told by the line that puts the rest on
    stack: isHeld && !beside.length ? [] : stackOf(job, step, ids),
    mind: [
      ...mindAtRebuild(step),
      ...mindByHold(step),
      ...staysInWords(step),
      ...ids.flatMap((p) => differsAt(job, p)),
      // of a part, or of what its going back closes over
      ...staysDry(job, (d) =>
        d.part ? ids.includes(d.part) : d.chamber !== undefined && d.step === step.id,
      ),
      ...(facing && step.facing && facing !== step.facing ? [`The old one faced: ${step.facing}`] : []),
      ...going.flatMap((g) => besideNew(g, name(g.part))),
    ],
    off: offOf(step),
  };
}

/**
 * The last movement of a step's return: all of it, or what is left of it once its parts lie in their place.
 */
function undoingInWords(job: Job, line: FitLine): LineWords {
  const step = stepOf(job, line.undoes);
  const { parts, hardware: ids } = line.left ?? line;
  const hardware = hardwareOf(step, ids);
  const loose = hardware.filter((h) => line.loose?.includes(h.id));
  const base = {
    ...BARE,
    belongs: putsBack(job, line.undoes),
    ...drawing(
      job,
      step,
      hardware.filter((h) => !loose.includes(h)),
    ),
    hardware,
    renewed: renewedPieces(job, hardware, step),
    wires: step?.wires ?? [],
    tray: step?.tray,
    step: line.undoes,
    known: line.minds,
  };
  if (!step) return { ...base, title: "" };
  const aside = (line.aside ?? []).map((p) => ({
    name: pieceNamed(job, p),
    why: staysOut(goingInOf(job), p),
  }));
  // locker holds on a dry thread alone
  const mind = [
    ...leftLooseInWords(job, loose),
    ...staysDry(job, (d) => !d.part && !d.chamber && d.step === step.id),
    ...aside.map((p) => `Stays out: ${p.name}: ${p.why}`),
    ...liesOver(step).map((says) => `Once they are in, it goes on over them: ${says}`),
  ];
  if (parts.length) {
    const said = partsInWords(job, step, parts, hardware, false);
    return { ...base, ...said, mind: [...said.mind, ...mind] };
  }
  const stack = stackOf(job, step, line.parts);
  // what was said of the step stands at the line of its parts, where they have one of their own
  const isOnePiece = (id: string): boolean =>
    job.parts.some(
      (p) => p.id === id && (step.hardware ?? []).some((h) => p.piece === h.id || namesPiece(p, h)),
    );
  if (line.left && line.parts.some((p) => !isOnePiece(p)))
    return { ...base, title: piecesBack(hardware, step), stack, mind };
  const nothing = aside.length
    ? `Leave out: ${aside.map((p) => p.name).join(", ")}`
    : nothingBack(step, stepNumber(job, step.id));
  return {
    ...base,
    title: ownWay(step) ?? (hardware.length ? piecesBack(hardware, step) : nothing),
    facing: step.facing,
    marks: step.marks ?? [],
    stack,
    mind: [
      ...mindAtRebuild(step),
      ...mindByHold(step),
      ...staysInWords(step),
      ...staysDry(job, (d) => d.chamber !== undefined && d.step === step.id),
      ...mind,
    ],
    off: offOf(step),
  };
}

/** How a step goes on in somebody's own words, in place of what would be proposed. */
const ownWay = (step: StripStep): string | undefined => {
  const says = (step.back ?? []).filter((b) => b.when === "instead").map((b) => b.says);
  return says.length ? capital(says.join("; ")) : undefined;
};

/** What of a step never came out: it stays in its part, or in the case. */
const staysInWords = ({ hardware = [] }: StripStep): string[] =>
  hardware
    .filter((h) => h.stays !== undefined && h.stays !== LOOSENED)
    .map(
      (h) => `Stays where it is: ${hardwareInWords({ ...h, at: undefined, stays: undefined })}, ${h.stays}`,
    );

/** How a step came off, and what was noted of it then: word for word, and no instruction. */
function offOf(step: StripStep): string[] {
  const ways = (step.remarks ?? []).filter((r) => r.about === "way").map((r) => r.says);
  const all = [...new Set([...ways, step.freed?.says ?? "", step.note ?? ""])].filter(Boolean);
  return all.filter((says) => !all.some((other) => other !== says && other.includes(says)));
}

/** How screws are drawn: the figure that all of them have, their order, their passes. */
function drawing(job: Job, step: StripStep | undefined, hardware: readonly Hardware[]) {
  const torqueNm = oneTorque(hardware);
  const tight = hardware.map((h) => h.tighten);
  return {
    hardware,
    torqueNm,
    inARow: inARow(hardware),
    // what was said of its passes goes before what a seal asks for
    passes: step && !tight.some((t) => t?.passes) ? passesOver(job, step, torqueNm) : undefined,
    pattern: tight.find((t) => t?.pattern)?.pattern?.replace(/^cross\b/, "crosswise"),
    drawn: drawnInWords(tight),
  };
}

const tightenTitle = (hardware: readonly Hardware[]): string =>
  `Draw now: ${hardware.map((h) => hardwareInWords({ ...h, at: undefined })).join(", ")}`;

/** What is screwed in here and not drawn. */
function leftLooseInWords(job: Job, loose: readonly Hardware[]): string[] {
  const untils = [...new Set(loose.flatMap((h) => h.tighten?.looseUntil ?? []))];
  return untils.map((until) => {
    const own = loose
      .filter((h) => h.tighten?.looseUntil === until)
      .map((h) => hardwareInWords({ ...h, at: undefined }));
    const waits = job.steps.some((s) => s.id === until)
      ? `${stepThing(job, until)}, is on`
      : "everything is on";
    return `Leave loose: ${own.join(", ")}. Start by hand only; drawn when ${waits}.`;
  });
}

const stepOf = (job: Job, id: string): StripStep | undefined => job.steps.find((s) => s.id === id);
const hardwareOf = (step: StripStep | undefined, ids: readonly string[]): Hardware[] =>
  (step?.hardware ?? []).filter((h) => ids.includes(h.id));
/**
 * What stays dry here. Of a part it is said where something is lubricated at all; a thread with locker is
 * always dry.
 */
const staysDry = (job: Job, here: (d: KeptDry) => boolean): string[] => {
  const isLubricated = job.lubePoints.length > 0 || Boolean(job.chambers?.length);
  return keepDry(job)
    .filter((d) => here(d) && (isLubricated || !d.part))
    .map((d) => `Stays dry: ${d.says}.`);
};

/** Whether another of its kind lies in the same stack: then it is told apart by where it sat. */
function hasTwin({ hardware = [], stack = [] }: StripStep, id: string): boolean {
  const kind = hardware.find((h) => h.id === id)?.kind;
  return hardware.some((h) => h.id !== id && h.kind === kind && stack.includes(h.id));
}

/**
 * A step's pieces as they go back on each other: as what goes in says it, or as they came out, without what
 * stays out.
 */
function stackOf(job: Job, step: StripStep, parts: readonly string[]): readonly string[] {
  const going = job.ending ? [] : goingInOf(job);
  const said = going.find((g) => parts.includes(g.part) && g.stack.length)?.stack;
  if (said) return said;
  const pieces = [...(step.stack ?? [])]
    .reverse()
    .map((id): PieceRef => (step.parts?.includes(id) ? { part: id } : { hardware: id }));
  return pieces
    .filter((p) => staysOut(going, p) === undefined)
    .map((p) => pieceNamed(job, p, "hardware" in p && hasTwin(step, p.hardware)));
}
