import { z } from "zod";
import { Fault } from "@/core/fault";
import { type Hardware, type HardwareFacts, hardwareInWords } from "@/core/hardware/piece";
import { type Tighten, tightInWords } from "@/core/hardware/tightening";
import type { PictureMark } from "@/core/job/picture-mark";
import { factsOfStep, type NewStep } from "@/core/job/recorded-step";
import type { GoesBackWith, Holes, StripStep } from "@/core/job/step";
import { checkStrip } from "@/core/order/checked-strip";
import { needsNow } from "@/core/order/off-again";
import { slideStep } from "@/core/order/slide-step";
import { BACK_SAYS, stepCalled } from "@/core/order/step-words";
import { needsOf, undoOrder } from "@/core/order/undo-order";
import { type Change, changeJob } from "./change";
import { newBundle, newRef, newRefs } from "./ids";
import { loadJob } from "./job";
import { knownKind, rememberKind } from "./known-kinds";
import type { Row } from "./rows";
import { NO_FACTS, records } from "./tables";
import { remember } from "./undo";

/**
 * Lays a step down on the Mat, behind the last one. It only adds, so that a screen that is behind loses
 * nothing by it: `version` may be "any". Where
 * nothing is said of its needs, it needs the step that lies last at that moment. `again`: it is sent by
 * itself a second time; one that lies there otherwise is refused. How long the strip is makes no difference
 * to it: what lies there already is not read.
 */
export async function layDown(
  number: string,
  version: number | "any",
  step: NewStep,
  { again }: { again?: boolean | undefined } = {},
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const what =
      step.title ||
      step.parts.map((p) => p.name).join(", ") ||
      step.hardware.map(hardwareInWords).join("; ") ||
      step.action;
    const before: Row | undefined = step.key
      ? await trx("steps").where({ job_id: job.id, key: step.key }).first()
      : undefined;
    if (before && (await isTheSame(c, before, step))) return `laid down already: ${what}`;
    if (before && again)
      throw new Fault(
        "key",
        `${stepCalled(Number(before.position), records.steps.read(before).title ?? what)} lies on the Mat already, but says something else there: lay this one down only if it is another`,
      );
    const last: { ref: string; bundle: string | null } | undefined = await trx("steps")
      .where({ job_id: job.id })
      .orderBy("position", "desc")
      .first("ref", "bundle");
    await remember(c, `laying down ${what}`, { steps: step.asOne && last ? [last.ref] : [] });
    const { ref, position } = await newRef(trx, "steps", job.id);
    const bundle = step.asOne && last ? (last.bundle ?? (await newBundle(trx, job.id))) : step.bundle;
    if (bundle && last && !last.bundle && step.asOne)
      await trx("steps").where({ job_id: job.id, ref: last.ref }).update({ bundle });
    const needs = step.needs ?? (await needsOfNext(c, last?.ref));
    await refuseUnknown(c, needs);
    // two screens may have begun with one draft: what differs is another step, and has no claim to the
    // draft's name
    await insertStep(c, ref, position, {
      ...step,
      needs,
      ...(bundle ? { bundle } : {}),
      ...(before ? { key: undefined } : {}),
    });
    // what nothing needs yet closes no circle; a bundle may
    if (bundle) await soundOrRefuse(c);
    await forgetDraft(c, step.key);
    return `laid down step ${position + 1}: ${what}`;
  });
}

/**
 * What the next step needed, where nobody says: the step that lies last; once something went back, the last that is off.
 */
async function needsOfNext({ trx, job }: Change, last: string | undefined): Promise<string[]> {
  if (last === undefined) return [];
  const done: string[] = await trx("lines_done").where({ job_id: job.id }).pluck("line");
  if (!done.length) return [last];
  const steps = (await trx("steps").where({ job_id: job.id }).orderBy("position")).map(records.steps.read);
  return needsNow(steps, done);
}

const draftOfStep = z.object({ key: z.string().min(1) });

/** The draft of a step that was laid down has done its work; that of another, begun meanwhile, has not. */
async function forgetDraft({ trx, job }: Change, key: string | undefined): Promise<void> {
  const kept: { value: string } | undefined = await trx("drafts")
    .where({ job_id: job.id, field: "strip.step" })
    .first("value");
  const draft = draftOfStep.safeParse(kept && JSON.parse(kept.value));
  if (key && draft.success && draft.data.key !== key) return;
  await trx("drafts").where({ job_id: job.id, field: "strip.step" }).delete();
}

async function refuseUnknown({ trx, job }: Change, needs: readonly string[]): Promise<void> {
  const there = new Set(
    (
      await trx("steps")
        .where({ job_id: job.id })
        .whereIn("ref", [...needs])
        .select("ref")
    ).map((r) => String(r.ref)),
  );
  for (const need of needs) if (!there.has(need)) throw notOnTheMat();
}

/** Whether a step that is sent again says what the one that was laid down under its name says. */
async function isTheSame({ trx, job }: Change, row: Row, step: NewStep): Promise<boolean> {
  const laid = records.steps.read(row);
  const pieces: Row[] = await trx("hardware").where({ job_id: job.id, step: laid.id }).orderBy("position");
  const said = (h: HardwareFacts): string => `${h.qty} ${h.kind}`;
  return (
    laid.action === step.action &&
    (laid.title ?? "") === (step.title ?? "") &&
    (laid.note ?? "") === (step.note ?? "") &&
    pieces.map((p) => said(records.hardware.read(p))).join() === step.hardware.map(said).join()
  );
}

async function insertStep(c: Change, ref: string, position: number, step: NewStep): Promise<void> {
  const { trx, job, at } = c;
  const ids = await insertPieces(c, ref, step);
  const { key, ...rest } = ownFacts(step);
  await trx("steps").insert({
    job_id: job.id,
    position,
    key: key ?? null,
    ...records.steps.write({
      id: ref,
      ...rest,
      parts: ids.parts.length ? ids.parts : undefined,
      stack: stackOf(step.stack, ids),
      at,
    }),
  });
  await tiePictures(c, ref, key);
}

/** What stands in the step's own row, without its pieces. */
function ownFacts({
  parts: _p,
  hardware: _h,
  stack: _s,
  asOne: _one,
  ...rest
}: NewStep): Omit<StripStep, "id" | "parts" | "hardware" | "stack"> & { key?: string } {
  return rest;
}

/** Gives a step the pictures that came in, or will come in, under the recorder's own name for it. */
async function tiePictures({ trx, job }: Change, ref: string, key: string | undefined): Promise<void> {
  if (key)
    await trx("job_pictures").where({ job_id: job.id, step_key: key }).update({ step: ref, role: "step" });
}

interface PieceIds {
  readonly parts: readonly string[];
  readonly hardware: readonly string[];
}

/** @param kept ids that the step's parts keep, by their place; the others get new ones */
async function insertPieces(
  { trx, job }: Change,
  step: string,
  { parts, hardware }: Pick<NewStep, "parts" | "hardware">,
  kept: readonly (string | undefined)[] = [],
): Promise<PieceIds> {
  const fresh = await newRefs(trx, "parts", job.id, parts.filter((_, i) => kept[i] === undefined).length);
  let next = 0;
  const partIds: string[] = [];
  for (const [i, { name, kind: said, kindSaid, material, state }] of parts.entries()) {
    const old = kept[i];
    const kind = said ?? (await knownKind(trx, name));
    if (said && kindSaid) await rememberKind(trx, name, said);
    if (old === undefined) {
      const id = fresh.refs[next] ?? "";
      await trx("parts").insert({
        job_id: job.id,
        position: fresh.position + next,
        ...records.parts.write({ id, name, kind, kindSaid, material, state }),
      });
      next++;
      partIds.push(id);
    } else {
      const own = () => trx("parts").where({ job_id: job.id, ref: old });
      // what somebody said it is stands, whatever it is called now
      const wasSaid = await own().where({ kind_said: true }).first("ref");
      const now = kindSaid || !wasSaid ? { kind: kind ?? null, kindSaid } : {};
      await own().update(records.parts.write({ name, state, ...now }));
      partIds.push(old);
    }
  }
  const pieces = await newRefs(trx, "hardware", job.id, hardware.length);
  const rows = hardware.map((h, i) => ({
    job_id: job.id,
    position: pieces.position + i,
    step,
    ...records.hardware.write({ id: pieces.refs[i] ?? "", ...h }),
  }));
  for (const row of rows) await trx("hardware").insert(row);
  return { parts: partIds, hardware: pieces.refs };
}

/** `["h1", "p0"]` counts the step's own pieces; in the store they have their ids. */
function stackOf(stack: readonly string[] | undefined, ids: PieceIds): readonly string[] | undefined {
  const out = (stack ?? [])
    .map((s) => (s.startsWith("h") ? ids.hardware : ids.parts)[Number(s.slice(1))])
    .filter((s) => s !== undefined);
  return out.length ? out : undefined;
}

/**
 * A step that lies on the Mat already, as it should have been laid down. Its place, its needs and its bundle
 * stay, unless they are named.
 */
export async function changeStep(
  number: string,
  version: number,
  ref: string,
  step: NewStep,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const row: Row | undefined = await trx("steps").where({ job_id: job.id, ref }).first();
    if (!row) throw notOnTheMat();
    const laid = records.steps.read(row);
    const place = `step ${Number(row.position) + 1}`;
    const old = laid.parts ?? [];
    await remember(c, `changing ${place}`, { steps: [ref], parts: old, hardwareOf: [ref] });
    const names: { ref: string; name: string }[] = await trx("parts")
      .where({ job_id: job.id })
      .whereIn("ref", [...old])
      .select("ref", "name");
    // parts keep their ids by name, then in turn: findings and grease points hang on them
    const free = new Set(old);
    const take = (id: string | undefined): string | undefined =>
      id !== undefined && free.delete(id) ? id : undefined;
    const byName = step.parts.map((p) => take(names.find((n) => n.name === p.name && free.has(n.ref))?.ref));
    const kept = byName.map((id) => id ?? take([...free][0]));
    await refuseWhatHangs(c, [...free]);
    await trx("parts")
      .where({ job_id: job.id })
      .whereIn("ref", [...free])
      .delete();
    const before = await piecesOf(c, ref);
    await trx("hardware").where({ job_id: job.id, step: ref }).delete();
    const ids = await insertPieces(c, ref, step, kept);
    await followPieces(c, before, await piecesOf(c, ref));
    const { key, needs, bundle, title, ...rest } = ownFacts(step);
    await trx("steps")
      .where({ id: row.id })
      .update(
        records.steps.write({
          ...NO_FACTS,
          title,
          ...rest,
          parts: ids.parts.length ? ids.parts : undefined,
          stack: stackOf(step.stack, ids),
          ...(needs ? { needs } : {}),
          ...(bundle === undefined ? {} : { bundle }),
        }),
      );
    await tiePictures(c, ref, key);
    await soundOrRefuse(c);
    await forgetDraft(c, step.key);
    return `changed ${place}`;
  });
}

const piecesOf = async ({ trx, job }: Change, step: string): Promise<Hardware[]> =>
  (await trx("hardware").where({ job_id: job.id, step }).orderBy("position")).map(records.hardware.read);

/** Pieces that are judged like parts keep their judgement when their step is changed: by kind, each in turn. */
async function followPieces(
  { trx, job }: Change,
  before: readonly Hardware[],
  after: readonly Hardware[],
): Promise<void> {
  const free = [...after];
  for (const old of before) {
    const at = free.findIndex((h) => h.kind === old.kind);
    const [now] = at < 0 ? [] : free.splice(at, 1);
    await trx("parts")
      .where({ job_id: job.id, piece: old.id })
      .update({ piece: now?.id ?? null });
  }
}

/** Something more that must happen around a step's return. What is said already is not said twice. */
export async function addForReturn(
  number: string,
  version: number,
  ref: string,
  said: GoesBackWith,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const row: Row | undefined = await trx("steps").where({ job_id: job.id, ref }).first();
    if (!row) throw notOnTheMat();
    const laid = records.steps.read(row);
    if (laid.back?.some((b) => b.when === said.when && b.says === said.says))
      throw new Fault("says", "is said already");
    const facts = factsOfStep(laid);
    await trx("steps")
      .where({ id: row.id })
      .update(records.steps.write({ ...facts, back: [...(facts.back ?? []), said] }));
    return `step ${Number(row.position) + 1}, ${BACK_SAYS[said.when]}: ${said.says}`;
  });
}

/** Where the screws of a step sit in its picture. */
export async function setHoles(number: string, version: number, ref: string, holes: Holes): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const row: Row | undefined = await trx("steps").where({ job_id: job.id, ref }).first();
    if (!row) throw notOnTheMat();
    const facts = factsOfStep(records.steps.read(row));
    await trx("steps")
      .where({ id: row.id })
      .update(records.steps.write({ ...facts, holes }));
    return `${(await stepsCalled(c))(ref)}: its ${holes.at.length} holes pointed at in the picture`;
  });
}

/** How tight some pieces of a step go back; undefined: nothing is said. */
export async function setTightening(
  number: string,
  version: number,
  ref: string,
  pieces: readonly string[],
  tighten: Tighten | undefined,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const rows: Row[] = await trx("hardware")
      .where({ job_id: job.id, step: ref })
      .whereIn("ref", [...pieces]);
    if (!rows.length) throw new Fault("pieces", "these pieces are not in that step any more");
    const called = (await stepsCalled(c))(ref);
    await remember(c, `how tight the pieces of ${called} go`, { hardwareOf: [ref] });
    for (const row of rows) {
      const { tighten: _before, ...piece } = records.hardware.read(row);
      await trx("hardware")
        .where({ id: row.id })
        .update(records.hardware.write({ ...piece, tighten }));
    }
    return `${called}: ${tighten ? tightInWords(tighten) || "how it is drawn" : "nothing said of how tight"}`;
  });
}

/** How many there were of what nobody counted, or miscounted. */
export async function setCount(
  number: string,
  version: number,
  ref: string,
  piece: string,
  qty: number,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const row: Row | undefined = await trx("hardware")
      .where({ job_id: job.id, step: ref, ref: piece })
      .first();
    if (!row) throw new Fault("piece", "does not lie with that step any more");
    const called = (await stepsCalled(c))(ref);
    await remember(c, `the count of ${called}`, { hardwareOf: [ref] });
    const counted = { ...records.hardware.read(row), qty, uncounted: undefined };
    await trx("hardware").where({ id: row.id }).update(records.hardware.write(counted));
    return `counted, ${called}: ${hardwareInWords(counted)}`;
  });
}

/** A part that was judged or greased is not taken away under the finding. */
async function refuseWhatHangs({ trx, job }: Change, parts: readonly string[]): Promise<void> {
  const judged = await trx("findings")
    .where({ job_id: job.id })
    .whereIn("part", [...parts])
    .first();
  if (judged) throw new Fault("steps", "a part of this step is judged already; take the finding away first");
}

/** Changes what a laid-down step needs, or which bundle it belongs to. Refused where that makes a circle. */
export async function setOrder(
  number: string,
  version: number,
  step: string,
  order: { needs?: readonly string[] | null; bundle?: string | null },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const called = await stepsCalled(c);
    await remember(c, `the order of ${called(step)}`, { steps: [step] });
    const changed = await c
      .trx("steps")
      .where({ job_id: c.job.id, ref: step })
      .update(records.steps.write(order));
    if (!changed) throw notOnTheMat();
    await soundOrRefuse(c);
    if (order.bundle === undefined) return `changed what ${called(step)} needs`;
    return order.bundle === null
      ? `took ${called(step)} out of its bundle`
      : `put ${called(step)} into a bundle`;
  });
}

/** Two steps came out as one: their bundles become one; said again, the second leaves it. */
export async function toggleBundle(
  number: string,
  version: number,
  step: string,
  other: string,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const rows: { ref: string; bundle: string | null }[] = await trx("steps")
      .where({ job_id: job.id })
      .select("ref", "bundle");
    const [a, b] = [step, other].map((ref) => rows.find((r) => r.ref === ref));
    if (!a || !b || a === b) throw new Fault("step", "there are no two such steps");
    const called = await stepsCalled(c);
    await remember(c, `the bundle of ${called(step)}`, { steps: rows.map((r) => r.ref) });
    const together = a.bundle !== null && a.bundle === b.bundle;
    if (together) {
      await trx("steps").where({ job_id: job.id, ref: step }).update({ bundle: null });
      const left = rows.filter((r) => r.bundle === a.bundle && r.ref !== step);
      // one alone is no bundle
      if (left.length === 1)
        await trx("steps").where({ job_id: job.id, ref: left[0]?.ref }).update({ bundle: null });
    } else {
      const bundle = b.bundle ?? a.bundle ?? (await newBundle(trx, job.id));
      const members = rows.filter(
        (r) =>
          r.ref === step ||
          r.ref === other ||
          (r.bundle !== null && (r.bundle === a.bundle || r.bundle === b.bundle)),
      );
      await trx("steps").where({ job_id: job.id }).whereIn("ref", members.map((m) => m.ref)).update({ bundle }); // biome-ignore format: one query, one line
    }
    await soundOrRefuse(c);
    return `${called(step)} ${together ? "did not come out" : "came out"} as one with ${called(other)}`;
  });
}

/** Slides a step to another place on the Mat, counted from 0. */
export async function slide(number: string, version: number, step: string, to: number): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const rows: Row[] = await trx("steps").where({ job_id: job.id }).orderBy("position");
    const called = await stepsCalled(c);
    await remember(c, `sliding ${called(step)}`, { steps: rows.map((r) => String(r.ref)) });
    for (const [position, s] of slideStep(rows.map(records.steps.read), step, to).entries()) {
      const row = rows.find((r) => r.ref === s.id);
      const { needs } = records.steps.write({ needs: s.needs ?? [] });
      if (row && (row.position !== position || row.needs !== needs))
        await trx("steps").where({ id: row.id }).update({ position, needs });
    }
    await soundOrRefuse(c);
    return `slid ${called(step)} to place ${to + 1}`;
  });
}

/** Marks on a picture, kept beside it. */
export async function markPicture(
  number: string,
  version: number,
  name: string,
  marks: readonly PictureMark[],
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const changed = await trx("job_pictures")
      .where({ job_id: job.id, name })
      .update(records.job_pictures.write({ marks: marks.length ? marks : undefined }));
    if (!changed) throw new Fault("picture", `there is no picture ${name}`);
    return marks.length === 1 ? `one mark on picture ${name}` : `${marks.length} marks on picture ${name}`;
  });
}

const notOnTheMat = (): Fault => new Fault("step", "that step is not on the Mat any more");

/** What the steps are called where people read: by their place on the Mat and what came off. */
async function stepsCalled({ trx, job }: Pick<Change, "trx" | "job">): Promise<(ref: string) => string> {
  const rows: { ref: string; title: string | null }[] = await trx("steps")
    .where({ job_id: job.id })
    .orderBy("position")
    .select("ref", "title");
  const called = new Map(rows.map((r, i) => [r.ref, stepCalled(i, r.title)]));
  return (ref) => called.get(ref) ?? "a step that is not on the Mat any more";
}

/**
 * The transaction is refused if the strip could no longer be put back together, or if it names a step that is
 * gone.
 */
async function soundOrRefuse({ trx, job }: Change): Promise<void> {
  const whole = await loadJob(job.number, trx);
  if (!whole) return;
  const there = new Set(whole.steps.map((s) => s.id));
  if (whole.steps.some((s) => s.needs?.some((n) => !there.has(n)))) throw notOnTheMat();
  const checked = checkStrip(whole);
  const called = (i: number): string => stepCalled(i, whole.steps[i]?.title);
  undoOrder(checked, needsOf(checked, called), called);
}
