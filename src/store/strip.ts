import { Fault } from "@/core/fault";
import { hardwareInWords } from "@/core/hardware/kinds";
import type { PictureMark } from "@/core/job/picture-mark";
import { slideStep } from "@/core/order/slide-step";
import { checkStrip, type Hardware, type StripStep } from "@/core/order/strip";
import { needsOf, undoOrder } from "@/core/order/undo-order";
import { type Change, changeJob, nextRef } from "./change";
import { loadJob } from "./job";
import { toRow } from "./rows";
import { remember } from "./undo";

/** What the recorder lays down: a step without its ids. */
export interface NewStep extends Omit<StripStep, "id" | "parts" | "hardware" | "pictures" | "stack" | "x"> {
  readonly parts: readonly {
    readonly name: string;
    readonly kind?: string | undefined;
    readonly material?: string | undefined;
    readonly state?: Hardware["state"];
  }[];
  readonly hardware: readonly Omit<Hardware, "id" | "x">[];
  /** pictures taken for it while it was open, by name */
  readonly pictures: readonly string[];
  /** the pieces as they lay on each other, from the top: `h0` is the first piece of hardware, `p0` the first part */
  readonly stack?: readonly string[] | undefined;
  /** the recorder's own name for it; a step that was laid down under this name already is not laid down again */
  readonly key?: string | undefined;
  /** came out as one with the step before it */
  readonly asOne?: boolean | undefined;
}

/**
 * Lays a step down on the Mat, behind the last one. It only adds, so that a screen that is behind loses nothing by it: `version` may be "any". Where
 * nothing is said of its needs, it needs the step that lies last at that moment.
 */
export async function layDown(number: string, version: number | "any", step: NewStep, now?: Date): Promise<number> {
  return changeJob(
    number,
    version,
    async (c) => {
      const { trx, job } = c;
      const what = step.title || step.parts.map((p) => p.name).join(", ") || step.hardware.map(hardwareInWords).join("; ") || step.action;
      const before = step.key ? await trx("steps").where({ job_id: job.id, key: step.key }).first() : undefined;
      if (before && (await isTheSame(c, before, step))) return `laid down already: ${what}`;
      await remember(c, `laying down ${what}`);
      const last: { ref: string; bundle: string | null } | undefined = await trx("steps")
        .where({ job_id: job.id })
        .orderBy("position", "desc")
        .first("ref", "bundle");
      const { ref, position } = await nextRef(trx, "steps", job.id, "s");
      const bundle = step.asOne && last ? (last.bundle ?? (await nextBundle(c))) : step.bundle;
      if (bundle && last && !last.bundle && step.asOne) await trx("steps").where({ job_id: job.id, ref: last.ref }).update({ bundle });
      const needs = step.needs ?? (last ? [last.ref] : []);
      // two screens may have begun with one draft: what differs is another step, and has no claim to the draft's name
      await insertStep(c, ref, position, { ...step, needs, ...(bundle ? { bundle } : {}), ...(before ? { key: undefined } : {}) });
      await soundOrRefuse(c);
      await trx("drafts").where({ job_id: job.id }).andWhere("field", "like", "strip.%").delete();
      return `laid down step ${position + 1}: ${what}`;
    },
    now,
  );
}

/** Whether a step that is sent again says what the one that was laid down under its name says. */
async function isTheSame(
  { trx, job }: Change,
  row: { ref: string; action: string; title: string | null; note: string | null },
  step: NewStep,
): Promise<boolean> {
  const pieces: { kind: string; qty: number }[] = await trx("hardware").where({ job_id: job.id, step: row.ref }).orderBy("position").select("kind", "qty");
  const said = (kind: string, qty: number): string => `${qty} ${kind}`;
  return (
    row.action === step.action &&
    (row.title ?? "") === (step.title ?? "") &&
    (row.note ?? "") === (step.note ?? "") &&
    pieces.map((p) => said(p.kind, p.qty)).join() === step.hardware.map((h) => said(h.kind, h.qty)).join()
  );
}

async function nextBundle({ trx, job }: Change): Promise<string> {
  const used: { bundle: string }[] = await trx("steps").where({ job_id: job.id }).whereNotNull("bundle").distinct("bundle");
  return `b${used.reduce((n, r) => Math.max(n, Number(/^b(\d+)$/.exec(r.bundle)?.[1] ?? 0)), 0) + 1}`;
}

async function insertStep(c: Change, ref: string, position: number, { asOne: _one, ...step }: NewStep): Promise<void> {
  const { trx, job, at } = c;
  const ids = await insertPieces(c, ref, step);
  const { parts: _p, hardware: _h, pictures, stack, ...rest } = step;
  await trx("steps").insert(toRow({ jobId: job.id, ref, position, ...rest, parts: ids.parts.length ? ids.parts : undefined, stack: stackOf(stack, ids), at }));
  await tiePictures(c, ref, pictures, step.key);
}

/** Gives a step its pictures: those named, and those that came in, or will come in, under the recorder's own name for the step. */
async function tiePictures({ trx, job }: Change, ref: string, names: readonly string[], key: string | undefined): Promise<void> {
  const own = { step: ref, role: "step" };
  const of = () => trx("job_pictures").where({ job_id: job.id });
  if (names.length) await of().whereIn("name", [...names]).update(own); // biome-ignore format: one query, one line
  if (key) await of().where({ step_key: key }).update(own);
}

interface PieceIds {
  readonly parts: string[];
  readonly hardware: string[];
}

async function insertPieces(
  { trx, job }: Change,
  step: string,
  { parts, hardware }: Pick<NewStep, "parts" | "hardware">,
  kept: readonly (string | undefined)[] = [],
): Promise<PieceIds> {
  const ids: PieceIds = { parts: [], hardware: [] };
  for (const [i, p] of parts.entries()) {
    const ref = kept[i];
    if (ref)
      await trx("parts")
        .where({ job_id: job.id, ref })
        .update(toRow({ name: p.name, kind: p.kind, state: p.state }));
    else {
      const next = await nextRef(trx, "parts", job.id, "p");
      await trx("parts").insert(toRow({ jobId: job.id, ...next, name: p.name, kind: p.kind, material: p.material, state: p.state }));
      ids.parts.push(next.ref);
      continue;
    }
    ids.parts.push(ref);
  }
  for (const { at: place, ...h } of hardware) {
    const next = await nextRef(trx, "hardware", job.id, "h");
    await trx("hardware").insert(toRow({ jobId: job.id, ...next, step, ...h, place }));
    ids.hardware.push(next.ref);
  }
  return ids;
}

/** `["h1", "p0"]` counts the step's own pieces; in the store they have their ids. */
function stackOf(stack: readonly string[] | undefined, ids: PieceIds): string[] | undefined {
  const out = (stack ?? []).map((s) => (s.startsWith("h") ? ids.hardware : ids.parts)[Number(s.slice(1))]).filter((s): s is string => s !== undefined);
  return out.length ? out : undefined;
}

/** A step that lies on the Mat already, as it should have been laid down. Its place, its needs and its bundle stay, unless they are named. */
export async function changeStep(number: string, version: number, ref: string, step: NewStep): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const row = await trx("steps").where({ job_id: job.id, ref }).first();
    if (!row) throw new Fault("step", `there is no step ${ref}`);
    await remember(c, `changing step ${row.position + 1}`);
    const old: string[] = JSON.parse(row.parts ?? "[]");
    const names: { ref: string; name: string }[] = await trx("parts").where({ job_id: job.id }).whereIn("ref", old);
    // parts keep their ids by name, then in turn: findings and grease points hang on them
    const free = new Set(old);
    const take = (id: string | undefined): string | undefined => (id !== undefined && free.delete(id) ? id : undefined);
    const byName = step.parts.map((p) => take(names.find((n) => n.name === p.name && free.has(n.ref))?.ref));
    const kept = byName.map((id) => id ?? take([...free][0]));
    await refuseWhatHangs(c, [...free]);
    await trx("parts")
      .where({ job_id: job.id })
      .whereIn("ref", [...free])
      .delete();
    await trx("hardware").where({ job_id: job.id, step: ref }).delete();
    const ids = await insertPieces(c, ref, step, kept);
    const { parts: _p, hardware: _h, pictures, stack, needs, bundle, asOne: _one, key: _key, ...rest } = step;
    const blank = {
      title: null,
      facing: null,
      marks: null,
      wires: null,
      minutes: null,
      note: null,
      held: null,
      freed: null,
      timing: null,
      cautions: null,
      tools: null,
      do_not_undo: null,
      tray: null,
    };
    await trx("steps")
      .where({ id: row.id })
      .update({
        ...blank,
        ...toRow({
          ...rest,
          parts: ids.parts.length ? ids.parts : undefined,
          stack: stackOf(stack, ids),
          ...(needs ? { needs } : {}),
          ...(bundle === undefined ? {} : { bundle }),
        }),
      });
    await tiePictures(c, ref, pictures, step.key);
    await soundOrRefuse(c);
    await trx("drafts").where({ job_id: job.id }).andWhere("field", "like", "strip.%").delete();
    return `changed step ${row.position + 1}`;
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
    await remember(c, `the order of ${step}`);
    const changed = await c.trx("steps").where({ job_id: c.job.id, ref: step }).update(toRow(order));
    if (!changed) throw new Fault("step", `there is no step ${step}`);
    await soundOrRefuse(c);
    return order.bundle === undefined
      ? `changed what step ${step} needs`
      : order.bundle === null
        ? `took step ${step} out of its bundle`
        : `put step ${step} into bundle ${order.bundle}`;
  });
}

/** Two steps came out as one: their bundles become one; said again, the second leaves it. */
export async function toggleBundle(number: string, version: number, step: string, other: string): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const rows: { ref: string; bundle: string | null }[] = await trx("steps").where({ job_id: job.id }).select("ref", "bundle");
    const [a, b] = [step, other].map((ref) => rows.find((r) => r.ref === ref));
    if (!a || !b || a === b) throw new Fault("step", "there are no two such steps");
    await remember(c, `the bundle of ${step}`);
    const together = a.bundle !== null && a.bundle === b.bundle;
    if (together) {
      await trx("steps").where({ job_id: job.id, ref: step }).update({ bundle: null });
      const left = rows.filter((r) => r.bundle === a.bundle && r.ref !== step);
      // one alone is no bundle
      if (left.length === 1) await trx("steps").where({ job_id: job.id, ref: left[0]?.ref }).update({ bundle: null });
    } else {
      const bundle = b.bundle ?? a.bundle ?? (await nextBundle(c));
      const members = rows.filter((r) => r.ref === step || r.ref === other || (r.bundle !== null && (r.bundle === a.bundle || r.bundle === b.bundle)));
      await trx("steps").where({ job_id: job.id }).whereIn("ref", members.map((m) => m.ref)).update({ bundle }); // biome-ignore format: one query, one line
    }
    await soundOrRefuse(c);
    return together ? `${step} did not come out as one with ${other}` : `${step} came out as one with ${other}`;
  });
}

/** Slides a step to another place on the Mat, counted from 0. */
export async function slide(number: string, version: number, step: string, to: number): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const rows: { id: number; ref: string; position: number; needs: string | null }[] = await trx("steps").where({ job_id: job.id }).orderBy("position");
    await remember(c, `sliding ${step}`);
    const before = rows.map((r) => ({ id: r.ref, ...(r.needs === null ? {} : { needs: JSON.parse(r.needs) as string[] }) }));
    for (const [position, s] of slideStep(before, step, to).entries()) {
      const row = rows.find((r) => r.ref === s.id);
      const needs = JSON.stringify(s.needs ?? []);
      if (row && (row.position !== position || row.needs !== needs)) await trx("steps").where({ id: row.id }).update({ position, needs });
    }
    await soundOrRefuse(c);
    return `slid ${step} to place ${to + 1}`;
  });
}

/** Marks on a picture, kept beside it. */
export async function markPicture(number: string, version: number, name: string, marks: readonly PictureMark[]): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const changed = await trx("job_pictures")
      .where({ job_id: job.id, name })
      .update({ marks: marks.length ? JSON.stringify(marks) : null });
    if (!changed) throw new Fault("picture", `there is no picture ${name}`);
    return marks.length === 1 ? `one mark on picture ${name}` : `${marks.length} marks on picture ${name}`;
  });
}

/** The transaction is refused if the strip could no longer be put back together. */
async function soundOrRefuse({ trx, job }: Change): Promise<void> {
  const whole = await loadJob(trx, job.number);
  if (!whole) return;
  const checked = checkStrip(whole);
  undoOrder(checked, needsOf(checked));
}
