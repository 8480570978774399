import { pointKind } from "@/core/grease/point-kinds";
import { passesInWords } from "@/core/hardware/bench/tightening-order";
import { type Hardware, type HardwareFacts, hardwareInWords } from "@/core/hardware/piece";
import { companionKey, companionSays } from "@/core/job/goes-in";
import { goingInOf } from "@/core/job/going-in";
import { gotInWords } from "@/core/job/got";
import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { serviceSays } from "@/core/job/service";
import type { StripStep } from "@/core/job/step";
import { isFailure } from "@/core/judge/failure-modes";
import { keepDry } from "@/core/lube/cleaning";
import { staysOut } from "@/core/order/hardware-ledger";
import { INVERSE_ACTION } from "@/core/order/inverse-action";
import { checkSays } from "@/core/order/rebuild-checks";
import type { RebuildLine } from "@/core/order/rebuild-plan";
import { mindAtRebuild } from "@/core/order/step-words";
import { capital } from "@/core/sentence";
import { pieceNamed } from "../job-view/piece-named";
import { besideNew } from "./goes-in";

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
  readonly renewed: readonly string[];
  /** the pieces as they go back on each other: what lies lowest first */
  readonly stack: readonly string[];
  /** what else must be minded: timing, how it was set */
  readonly mind: readonly string[];
  /** where in the tray it lies */
  readonly tray?: string;
  /** the step whose picture is shown, unless a picture was pointed at */
  readonly step?: string;
  readonly picture?: string;
  readonly grams?: number;
  readonly note?: string;
}

/** What is to be minded of a part that is not as what came out: a kit's piece that differs, or one that goes back as it is although it was found bad. */
function differsAt(job: Job, part: string): string[] {
  const f = job.findings.find((x) => x.part === part);
  const renew = job.parts.find((p) => p.id === part)?.renew;
  if (job.ending) return [];
  if (renew) return f?.got?.differs ? [`${partNamed(job, part)} differs from what came out: ${f.got.differs}`] : [];
  return f?.fate === "keep" && isFailure(f.mode) ? [`${partNamed(job, part)} goes back as it is: ${f.fateWhy}`] : [];
}

/** The screws of a joint with a gasket or an O-ring in it: one that came off with them, or in the two steps that they laid open. */
function passesOver(job: Job, step: StripStep, torqueNm: number | undefined): string | undefined {
  const count = (step.hardware ?? []).filter((h) => h.kind === "screw" || h.kind === "nut").reduce((n, h) => n + h.qty, 0);
  if (count < 3) return undefined;
  const at = job.steps.findIndex((s) => s.id === step.id);
  const isSeal = (kind: string | undefined): boolean => kind === "o-ring" || kind === "gasket";
  const found = job.steps
    .slice(at, at + 3)
    .find((s) => s.hardware?.some((h) => isSeal(h.kind)) || s.parts?.some((p) => isSeal(job.parts.find((x) => x.id === p)?.kind)));
  return found && `On the seal of step ${job.steps.indexOf(found) + 1}: ${passesInWords(torqueNm)}.`;
}
/** In a row rather than round a flange, as it was said where it sits. */
const inARow = (hardware: readonly HardwareFacts[]): boolean => hardware.some((h) => /\b(row|line)\b/i.test(`${h.at ?? ""} ${h.tighten?.pattern ?? ""}`));

/** The torque that all of a line's pieces have; undefined: none, or each its own, which stands beside it. */
function oneTorque(hardware: readonly HardwareFacts[]): number | undefined {
  const torques = new Set(hardware.flatMap((h) => h.tighten?.torqueNm ?? []));
  return torques.size === 1 ? [...torques][0] : undefined;
}

/** A line of the plan as it is said to the technician. */
export function lineInWords(job: Job, line: RebuildLine): LineWords {
  const bare = { marks: [], wires: [], hardware: [], renewed: [], stack: [], mind: [] };
  const number = (id: string): number => job.steps.findIndex((s) => s.id === id) + 1;
  const name = (id: string): string => partNamed(job, id);
  const stepOfPart = (id: string | undefined): string | undefined => job.steps.find((s) => id !== undefined && s.parts?.includes(id))?.id;
  if (line.kind === "grease") {
    const g = job.lubePoints.find((x) => x.id === line.lubePoint);
    const dry = keepDry(job).filter((d) => d.chamber !== undefined && d.chamber === g?.chamber);
    return {
      ...bare,
      belongs: "lubricate",
      title: `${g?.lubricant ?? "Grease"}: ${g?.where ?? (g?.part ? name(g.part) : "")}`,
      grams: g?.weighedGrams ?? g?.grams,
      note: g?.how ?? (g?.kind && pointKind(g.kind).how),
      mind: dry.map((d) => `Stays dry: ${d.says}${d.spot ? ", hatched in the picture" : ""}.`),
      step: g?.reachedBy ?? stepOfPart(g?.part),
      picture: (g?.spot ?? dry.find((d) => d.spot)?.spot)?.picture,
    };
  }
  if (line.kind === "service") {
    const v = job.services.find((x) => x.id === line.service);
    const place = v?.part ? name(v.part) : v?.reachedBy ? `what step ${number(v.reachedBy)} laid open` : "";
    return {
      ...bare,
      belongs: "before it goes on",
      title: `${serviceSays(v?.do ?? "")} ${place}`,
      note: v?.note,
      step: v?.reachedBy ?? stepOfPart(v?.part),
    };
  }
  if (line.kind === "check") return { ...bare, belongs: `after step ${number(line.after)}`, title: checkSays(line.check), step: line.after };
  if (line.kind === "with") {
    const c = goingInOf(job)
      .find((g) => g.part === line.part)
      ?.with.find((w) => companionKey(w) === line.companion);
    return {
      ...bare,
      belongs: `goes in with the new ${name(line.part)}`,
      title: c ? `Lay ready: ${companionSays(c)}` : "",
      mind: c?.got?.differs ? [`It differs from what came out: ${c.got.differs}`] : [],
      note: c?.got && gotInWords(c.got),
      step: stepOfPart(line.part),
    };
  }
  const step = job.steps.find((s) => s.id === line.undoes);
  const parts = line.parts.map(name);
  const hardware = (step?.hardware ?? []).filter((h) => line.hardware.includes(h.id));
  const going = job.ending ? [] : goingInOf(job).filter((g) => line.parts.includes(g.part));
  const facing = going.find((g) => g.facing)?.facing;
  const stack = going.find((g) => g.stack.length)?.stack;
  const says = step ? INVERSE_ACTION[step.action as keyof typeof INVERSE_ACTION]?.says : "";
  const what = parts.length
    ? parts.join(", ")
    : hardware.length
      ? hardware.map((h) => hardwareInWords({ ...h, at: undefined })).join("; ")
      : (step?.title ?? "");
  return {
    belongs: `puts back step ${number(line.undoes)}${step?.title ? `: ${step.title}` : ""}`,
    title:
      step?.action === "block"
        ? `Take out: ${step.title ?? step.note}`
        : line.aside && !parts.length && !hardware.length
          ? `Leave out: ${line.aside.map((p) => pieceNamed(job, p)).join(", ")}`
          : `${capital(says ?? "")}: ${what}`,
    facing: facing ?? step?.facing,
    marks: step?.marks ?? [],
    wires: step?.wires ?? [],
    hardware,
    torqueNm: oneTorque(hardware),
    inARow: inARow(hardware),
    passes: step && passesOver(job, step, oneTorque(hardware)),
    pattern: hardware.find((h) => h.tighten?.pattern)?.tighten?.pattern?.replace(/^cross\b/, "crosswise"),
    renewed: line.parts
      .filter((p) => !job.ending && job.parts.find((x) => x.id === p)?.renew)
      .map((p) => {
        const f = job.findings.find((x) => x.part === p);
        return `${name(p)}: new${f?.got ? `, ${gotInWords(f.got)}` : f?.chosen ? `, ${f.chosen}` : ""}`;
      }),
    stack:
      stack ??
      [...(step?.stack ?? [])]
        .reverse()
        .filter((id) => line.parts.includes(id) || line.hardware.includes(id))
        .map((id) => pieceNamed(job, line.parts.includes(id) ? { part: id } : { hardware: id })),
    mind: [
      ...(step ? mindAtRebuild(step) : []),
      ...line.parts.flatMap((p) => differsAt(job, p)),
      ...keepDry(job).flatMap((d) => ((d.part ? line.parts.includes(d.part) : d.step === line.undoes) ? [`Stays dry: ${d.says}.`] : [])),
      ...(facing && step?.facing && facing !== step.facing ? [`The old one faced: ${step.facing}`] : []),
      ...going.flatMap((g) => besideNew(g, name(g.part))),
      ...(line.aside ?? []).map((p) => `Stays out: ${pieceNamed(job, p)}: ${staysOut(goingInOf(job), p)}`),
    ],
    tray: step?.tray,
    step: line.undoes,
    note: step?.note,
  };
}
