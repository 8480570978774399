import { Fault } from "@/core/fault";
import { type JobFile, stripOf } from "@/core/job/job-file";
import { isStage } from "@/core/job/stages";
import { checkStrip } from "@/core/order/strip";
import { needsOf, undoOrder } from "@/core/order/undo-order";
import { type Bought, boughtFor, takeInBought } from "./bought";
import { changeJob } from "./change";
import { database } from "./database";
import { type GearIdentity, type GearNotes, type Job, type JobPicture, loadHead, loadJob } from "./job";
import { createJob } from "./jobs";
import { addPicture, readPicture } from "./pictures";
import { toRow } from "./rows";

/** What the job file has no key of its own for travels in `x.bench`, so that nothing is lost between two shops with this program. */
interface Bench {
  readonly job?: Partial<Job>;
  readonly answers?: Job["answers"];
  readonly linesDone?: readonly string[];
  readonly pictures?: readonly { readonly name: string; readonly role: JobPicture["role"]; readonly part?: string }[];
  readonly weighed?: Readonly<Record<string, { grams?: number; at?: string }>>;
  readonly stepTimes?: Readonly<Record<string, string>>;
  readonly bought?: Bought;
}

const BENCH_HEAD = [
  "protectionClass",
  "condition",
  "consent",
  "stripFinished",
  "greaseState",
  "greaseOld",
  "caseInside",
  "fillSchool",
  "makersGrams",
  "lubricant",
  "washed",
  "handedBackAt",
  "past",
  "disposeConsent",
  "loosePictures",
  "train",
  "causes",
  "benchFinds",
  "newUnit",
  "basketAim",
  "toFit",
] as const;

const known = <T extends object>(o: T): T => Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined && v !== "" && v !== null)) as T;

/** A job as its open file. The customer's name and contact stay in the shop. */
export function jobFileOf(job: Job): JobFile {
  const bench: Bench = {
    job: known(Object.fromEntries(BENCH_HEAD.map((k) => [k, job[k]])) as Partial<Job>),
    answers: job.answers,
    linesDone: job.linesDone,
    pictures: job.pictures
      .filter((p) => p.role !== "step")
      .map((p) => known({ name: p.name, role: p.role, part: p.part }) as { name: string; role: JobPicture["role"] }),
    weighed: Object.fromEntries(
      job.lubePoints.filter((g) => g.weighedGrams !== undefined).map((g) => [g.id, known({ grams: g.weighedGrams, at: g.weighedAt })]),
    ),
    stepTimes: Object.fromEntries(job.steps.filter((s) => s.at).map((s) => [s.id, s.at as string])),
    ...(job.quotes.length || job.orders.length || job.arrivals.length ? { bought: boughtFor(job) } : {}),
  };
  const marked = job.pictures.filter((p) => p.marks?.length);
  const { bench: _old, ...x } = (job.x ?? {}) as Record<string, unknown>;
  const { job: jobX, unit: unitX, ...fileX } = x as { job?: Record<string, unknown>; unit?: Record<string, unknown> };
  return {
    format: "demontage-job",
    version: 1,
    job: known({
      number: job.number,
      stage: job.stage,
      takenIn: job.takenIn,
      promised: job.promised,
      complaint: job.complaint,
      symptoms: [...job.symptoms],
      limit: job.priceLimit,
      looseItems: [...job.looseItems],
      x: jobX,
    }),
    unit: {
      kind: job.kind,
      ...known({ maker: job.maker, model: job.model, variant: job.variant, serial: job.serial, supply: job.supply, foodContact: job.foodContact, x: unitX }),
    },
    parts: [...job.parts],
    steps: job.steps.map(({ at: _at, ...s }) => s),
    services: [...job.services],
    lubePoints: job.lubePoints.map(({ weighedGrams: _g, weighedAt: _a, ...g }) => g),
    findings: job.findings.map((f) =>
      known({
        part: f.part,
        mode: f.mode,
        extent: f.extent,
        note: f.note,
        teeth: { ...f.teeth },
        readings: job.readings
          .filter((r) => r.part === f.part)
          .map((r) => known({ what: r.what, value: r.value, u: r.u, teeth: r.teeth, source: r.source, x: { at: r.at } })),
        identity: f.identity as Record<string, unknown> | undefined,
        chosen: f.chosen,
        x: known({ ...f.x, gear: f.gear, fate: f.fate, fateWhy: f.fateWhy, readNumber: f.readNumber }),
      }),
    ),
    tests: job.answers
      .filter((a) => a.question.startsWith("final:"))
      .map((a) => known({ name: a.question.slice(6), answer: a.answer, value: a.value, unit: a.unit, note: a.note })),
    ...(marked.length ? { pictureMarks: Object.fromEntries(marked.map((p) => [p.name, [...(p.marks ?? [])]])) } : {}),
    x: { ...fileX, bench },
  };
}

/** A job of the shop with the bytes of its pictures. */
export async function parcelOf(number: string): Promise<{ file: JobFile; pictures: Map<string, Uint8Array> }> {
  const job = await loadJob(await database(), number);
  if (!job) throw new Fault("number", `there is no job ${number}`);
  const pictures = new Map<string, Uint8Array>();
  for (const p of job.pictures) {
    const kept = await readPicture(p.sha256, false);
    if (kept) pictures.set(p.name, new Uint8Array(kept.bytes));
  }
  return { file: jobFileOf(job), pictures };
}

/**
 * Takes a job file into the shop. The strip must be sound. A number the shop has already is refused, unless it is taken in as a new job.
 * Answers the job's number.
 */
export async function takeInJobFile({ file, pictures }: { file: JobFile; pictures: ReadonlyMap<string, Uint8Array> }, asNew = false): Promise<string> {
  const checked = checkStrip(stripOf(file));
  undoOrder(checked, needsOf(checked));
  for (const [i, s] of file.steps.entries())
    for (const name of s.pictures ?? [])
      if (pictures.size && !pictures.has(name)) throw new Fault(`steps[${i}].pictures`, `there is no picture ${name} in the file`);
  const db = await database();
  // a new number is given in the same transaction as the job is made: two that come at once get two
  const own = asNew ? undefined : file.job?.number;
  if (own && (await loadHead(db, own))) throw new Fault("job.number", `${own} is in this shop already; --as-new takes it in under the next number`);
  const { bench: rawBench, ...fileX } = file.x ?? {};
  const bench = (rawBench ?? {}) as Bench;
  const x = known({ ...fileX, job: file.job?.x, unit: file.unit.x });
  const { x: _ux, ...unit } = file.unit;
  const stage = file.job?.stage;
  const number = await createJob({
    ...unit,
    ...bench.job,
    ...(own ? { number: own } : {}),
    complaint: file.job?.complaint ?? "",
    symptoms: file.job?.symptoms ?? [],
    looseItems: file.job?.looseItems ?? [],
    ...(stage && isStage(stage) ? { stage } : {}),
    ...(file.job?.takenIn ? { takenIn: file.job.takenIn } : {}),
    ...(file.job?.promised ? { promised: file.job.promised } : {}),
    ...(file.job?.limit === undefined ? {} : { priceLimit: file.job.limit }),
    ...(Object.keys(x).length ? { x } : {}),
  });
  const hooks = await fill(number, file, bench);
  await fillPictures(number, file, bench, pictures, hooks);
  return number;
}

/** Answers what the pictures of parts that came hang on here, by what they hung on there. */
async function fill(number: string, file: JobFile, bench: Bench): Promise<ReadonlyMap<string, string>> {
  let hooks: ReadonlyMap<string, string> = new Map();
  await changeJob(number, "any", async ({ trx, job }) => {
    const rows = async (table: string, things: readonly object[]): Promise<void> => {
      for (const [position, thing] of things.entries()) await trx(table).insert(toRow({ jobId: job.id, position, ...thing }));
    };
    await rows(
      "parts",
      (file.parts ?? []).map(({ id, ...p }) => ({ ref: id, ...p, name: p.name ?? id })),
    );
    await rows(
      "steps",
      file.steps.map(({ id, hardware: _h, pictures: _p, ...s }) => ({ ref: id, ...s, at: bench.stepTimes?.[id] })),
    );
    await rows(
      "hardware",
      file.steps.flatMap((s) => (s.hardware ?? []).map(({ id, at, ...h }) => ({ ref: id, step: s.id, ...h, place: at }))),
    );
    await rows(
      "services",
      (file.services ?? []).map(({ id, do: what, ...v }) => ({ ref: id, what, ...v })),
    );
    await rows(
      "lube_points",
      (file.lubePoints ?? []).map(({ id, when, where, ...g }) => ({
        ref: id,
        ...g,
        moment: when,
        place: where,
        weighedGrams: bench.weighed?.[id]?.grams,
        weighedAt: bench.weighed?.[id]?.at,
      })),
    );
    const now = new Date().toISOString();
    for (const { readings, x, teeth, identity, ...f } of file.findings ?? []) {
      const { gear, fate, fateWhy, readNumber, ...rest } = (x ?? {}) as { gear?: GearNotes; fate?: string; fateWhy?: string; readNumber?: string };
      await trx("findings").insert(
        toRow({
          jobId: job.id,
          ...f,
          teeth: teeth ?? {},
          gear: gear ?? {},
          fate,
          fateWhy,
          readNumber,
          identity: identity as GearIdentity | undefined,
          ...(Object.keys(rest).length ? { x: rest } : {}),
        }),
      );
      for (const { x: rx, ...r } of readings ?? [])
        await trx("readings").insert(toRow({ jobId: job.id, part: f.part, ...r, source: r.source ?? "job file", at: (rx?.at as string) ?? now }));
    }
    const answers =
      bench.answers ??
      (file.tests ?? []).map((t) => ({ question: `final:${t.name}`, answer: t.answer ?? "yes", value: t.value, unit: t.unit, note: t.note, at: now }));
    for (const a of answers) await trx("answers").insert(toRow({ jobId: job.id, ...a }));
    if (bench.bought) hooks = await takeInBought(trx, job, bench.bought);
    for (const line of bench.linesDone ?? []) await trx("lines_done").insert({ job_id: job.id, line, at: now });
    return "taken in from a job file";
  });
  return hooks;
}

async function fillPictures(
  number: string,
  file: JobFile,
  bench: Bench,
  pictures: ReadonlyMap<string, Uint8Array>,
  hooks: ReadonlyMap<string, string>,
): Promise<void> {
  const stepOf = new Map(file.steps.flatMap((s) => (s.pictures ?? []).map((name) => [name, s.id] as const)));
  for (const name of [...pictures.keys()].sort()) {
    const told = bench.pictures?.find((p) => p.name === name);
    const step = stepOf.get(name);
    await addPicture(
      number,
      Buffer.from(pictures.get(name) as Uint8Array),
      { role: step ? "step" : (told?.role ?? "intake"), step, part: told?.part && (hooks.get(told.part) ?? told.part), marks: file.pictureMarks?.[name] },
      name,
    );
  }
}
