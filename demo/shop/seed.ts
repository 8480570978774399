/**
 * Fills an empty data folder with the demo shop. `npx tsx demo/shop/seed.ts`, with DEMONTAGE_DATA for the
 * place.
 */
import { existsSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { addDays, addMinutes, format } from "date-fns";
import { testerInWords, USUAL_LIMITS } from "../../src/core/hand-back/electrical-limits";
import { limitInWords } from "../../src/core/hand-back/final-check";
import { finalChecks } from "../../src/core/hand-back/final-checks";
import { TESTER as ELECTRICAL } from "../../src/core/hand-back/instruments";
import { readJobFile } from "../../src/core/job/job-file";
import { finalKey, safetyKey } from "../../src/core/job/keys";
import { readWav } from "../../src/core/sound/wav";
import { partRows } from "../../src/store/catalogue-index";
import { database } from "../../src/store/database";
import { shelf } from "../../src/store/grease-rows";
import { loadJob } from "../../src/store/job";
import { takeInJobFile } from "../../src/store/job-file";
import { offerRows, supplierRows } from "../../src/store/offer-rows";
import { putRows } from "../../src/store/put-rows";
import { records } from "../../src/store/tables";
import { juicerAtJudge, juicerAtMatch } from "./juicer";
import { extruder, hammer, shears, slicer } from "./others";
import { queue } from "./queue";
import { jobFileFrom, type Recipe } from "./recipe";
import { catalogue, lubricants, offers, suppliers, tempers } from "./shelf";

const jpeg = (name: string): Uint8Array =>
  readFileSync(join(dirname(fileURLToPath(import.meta.url)), "..", "pictures", "jpeg", `${name}.jpg`));

/** Who brought what, and for which day from today it is promised. All names are made up. */
const CUSTOMERS: Record<
  string,
  { customerName: string; customerContact: string; takenInDaysAgo: number; promisedIn: number }
> = {
  "J-0142": {
    customerName: "Ilka Morrow",
    customerContact: "at the counter",
    takenInDaysAgo: 2,
    promisedIn: 4,
  },
  "J-0139": {
    customerName: "Bertin Oake",
    customerContact: "tel. 0555 0139",
    takenInDaysAgo: 6,
    promisedIn: 1,
  },
  "J-0144": {
    customerName: "Registry of Quillmoor",
    customerContact: "tel. 0555 0144",
    takenInDaysAgo: 0,
    promisedIn: 3,
  },
  "J-0138": {
    customerName: "Pia Wendell",
    customerContact: "tel. 0555 0138",
    takenInDaysAgo: 7,
    promisedIn: 6,
  },
  "J-0137": {
    customerName: "Tilly's Counter",
    customerContact: "tel. 0555 0137",
    takenInDaysAgo: 8,
    promisedIn: 2,
  },
  "J-0140": {
    customerName: "Orrin Fallow",
    customerContact: "tel. 0555 0140",
    takenInDaysAgo: 5,
    promisedIn: 3,
  },
  "J-0145": {
    customerName: "Greta Pellam",
    customerContact: "at the counter",
    takenInDaysAgo: 0,
    promisedIn: 8,
  },
  "J-0135": {
    customerName: "Trattoria Ombravento",
    customerContact: "tel. 0555 0135",
    takenInDaysAgo: 9,
    promisedIn: 0,
  },
  "J-0143": {
    customerName: "Anselm Reddy",
    customerContact: "tel. 0555 0143",
    takenInDaysAgo: 1,
    promisedIn: 6,
  },
  "J-0141": {
    customerName: "Workshop Nine",
    customerContact: "tel. 0555 0141",
    takenInDaysAgo: 3,
    promisedIn: 5,
  },
  "J-0131": {
    customerName: "Dora Finch",
    customerContact: "tel. 0555 0131",
    takenInDaysAgo: 14,
    promisedIn: -4,
  },
};

/** Models whose variants the shop has learnt to tell. */
const MODELS = [
  {
    maker: "Velbrant",
    model: "Pressa 40",
    kind: "masticating juicer",
    variants: [
      { variant: "four-rib", mark: "four ribs inside the cover" },
      { variant: "six-rib", mark: "six ribs inside the cover" },
      { variant: "nut", mark: "nut instead of circlip on the worm shaft" },
    ],
  },
  {
    maker: "Pellgrove",
    model: "S-12",
    kind: "paper shredder",
    variants: [
      { variant: "A", mark: "letter A cast into the cutter frame" },
      { variant: "B", mark: "letter B cast into the cutter frame" },
    ],
  },
];

async function takeIn(recipe: Recipe, today: Date): Promise<void> {
  const { file, pictures } = jobFileFrom(recipe, today);
  const { number } = await takeInJobFile({
    file: readJobFile(file),
    pictures: new Map([...pictures].map(([name, from]) => [name, async () => jpeg(from)])),
  });
  const { takenInDaysAgo, promisedIn, ...customer } = CUSTOMERS[number] as (typeof CUSTOMERS)[string];
  const day = (n: number): string => format(addDays(today, n), "yyyy-MM-dd");
  await (await database())("jobs")
    .where({ number })
    .update(records.jobs.write({ ...customer, takenIn: day(-takenInDaysAgo), promised: day(promisedIn) }));
  if (recipe.rows.length && number !== "J-0143") await answerSafety(number, today);
}

/** What the last checks of a unit that went home read. */
const FIGURES: Readonly<Record<string, number>> = { MΩ: 85, Ω: 0.11, mA: 0.08 };

const TESTER = { ...USUAL_LIMITS, tester: "Bench tester 1", calibratedOn: "2026-04-14" };

/** A unit that went home was tested before. */
async function answerFinals(number: string, today: Date): Promise<void> {
  const db = await database();
  const job = await loadJob(number);
  if (!job) return;
  const checks = finalChecks(job);
  for (const [i, c] of checks.entries()) {
    // one after the other, two minutes each
    const at = addMinutes(addDays(today, -4), 2 * (i - checks.length)).toISOString();
    const figure = c.unit
      ? {
          value: FIGURES[c.unit] ?? 1,
          unit: c.unit,
          note: limitInWords(c),
          ...(c.instrument === ELECTRICAL ? { instrument: testerInWords(TESTER) ?? "" } : {}),
        }
      : {};
    const answer = { question: finalKey(c.check), answer: c.choices?.[0]?.answer ?? "yes", at, ...figure };
    await db("answers").insert({
      job_id: job.id,
      question: answer.question,
      at,
      ...records.answers.write(answer),
    });
  }
}

/** Recordings of units that run, made by demo/sounds/practice.ts. */
const SOUNDS = [
  { number: "J-0142", moment: "before", name: "juicer-clicks", daysAgo: 2 },
  { number: "J-0135", moment: "before", name: "extruder-before", daysAgo: 9 },
  { number: "J-0135", moment: "after", name: "extruder-after", daysAgo: 0 },
] as const;

async function record(
  { number, moment, name, daysAgo }: (typeof SOUNDS)[number],
  today: Date,
): Promise<void> {
  const wav = readFileSync(
    join(dirname(fileURLToPath(import.meta.url)), "..", "sounds", "wav", `${name}.wav`),
  );
  const db = await database();
  const { id } = await db("jobs").where({ number }).first("id");
  await db("sounds").insert({
    job_id: id,
    moment,
    at: addDays(today, -daysAgo).toISOString(),
    seconds: readWav(wav).seconds,
    wav,
  });
}

async function answerSafety(number: string, today: Date): Promise<void> {
  const { safetyGate } = await import("../../src/core/safety/gate");
  const db = await database();
  const job = await loadJob(number);
  if (!job) return;
  for (const q of safetyGate(job))
    await db("answers")
      .insert({
        job_id: job.id,
        question: safetyKey(q.gate),
        answer: "yes",
        at: addDays(today, -1).toISOString(),
      })
      .onConflict(["job_id", "question"])
      .ignore();
}

/** Fills the shop, unless it holds a job already. Answers how many jobs it took in. */
export async function seed(today = new Date()): Promise<number> {
  const db = await database();
  if (await db("jobs").first()) return 0;
  for (const grease of lubricants) await db("lubricants").insert(shelf.write(grease));
  await putRows(db, partRows, catalogue);
  await putRows(db, supplierRows, suppliers);
  await putRows(db, offerRows, offers);
  await db("settings").insert([
    { name: "shopName", value: JSON.stringify("The bench at Tallow Lane") },
    { name: "town", value: JSON.stringify("Quillmoor") },
    { name: "currency", value: JSON.stringify("€") },
    { name: "warrantyMonths", value: "6" },
    { name: "electrical", value: JSON.stringify(TESTER) },
    {
      name: "instruments",
      value: JSON.stringify({
        "Tachometer, rpm": "Strobe 2",
        Probe: "Thin probe",
        "Meter at the plug": "Plug meter",
        "Meter at the plug, A": "Plug meter",
      }),
    },
    { name: "practiceTempers", value: JSON.stringify(tempers) },
  ]);
  await db("models").insert(MODELS.map((m) => ({ ...m, variants: JSON.stringify(m.variants) })));
  await db("makers").insert([
    { maker: "Velbrant", date_code: "characters 6–7 year" },
    { maker: "Haldrick", date_code: "characters 6–7 year" },
  ]);
  await db("customers").insert(
    Object.values(CUSTOMERS).map((c) => ({ name: c.customerName, contact: c.customerContact })),
  );
  const recipes = [juicerAtJudge, juicerAtMatch, slicer, hammer, shears, extruder, ...queue];
  for (const recipe of recipes) await takeIn(recipe, today);
  await answerFinals("J-0131", today);
  for (const sound of SOUNDS) await record(sound, today);
  return recipes.length;
}

if (process.argv[1] && existsSync(process.argv[1]) && fileURLToPath(import.meta.url) === process.argv[1]) {
  const n = await seed();
  console.log(n ? `The demo shop has ${n} jobs.` : "There are jobs here already; nothing was added.");
  await (await database()).destroy();
}
