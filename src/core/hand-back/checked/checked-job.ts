import type { Job } from "../../job/job";
import { finalKey, undoKey } from "../../job/keys";
import { USUAL_LIMITS } from "../electrical-limits";
import { limitInWords } from "../final-check";
import { finalChecks } from "../final-checks";
import type { ReportInput } from "../report/report-input";
import type { CheckedUnit } from "./units";

const AT = "2026-03-02T10:00:00.000Z";

/** A unit as a job that was repaired and checked: every check passed in the middle of its limit. */
export function checkedJob(unit: CheckedUnit): Job {
  const { parts, steps = [], causes = [], greased = {}, ...more } = unit;
  const known = parts.map(({ mode, ...p }, i) => ({ ...p, id: `p${i + 1}`, renew: mode !== undefined }));
  const chambers = Object.entries(greased).map(([name, lubricant], i) => ({
    id: `c${i + 1}`,
    kind: "gear-case" as const,
    name,
    lubricant,
  }));
  const laid = steps.map((s, i) => ({
    needs: [],
    action: "unscrew" as const,
    ...s,
    id: `s${i + 1}`,
    hardware: (s.hardware ?? []).map((h) => ({ ...h, id: `h${i + 1}` })),
    minutes: 3,
  }));
  const job: Job = {
    id: 1,
    number: "J-0001",
    version: 1,
    stage: "hand-back",
    maker: "Orrin",
    model: "Seven",
    variant: "",
    serial: "",
    foodContact: false,
    complaint: "",
    symptoms: [],
    customerName: "Ada Quill",
    customerContact: "",
    condition: "",
    looseItems: [],
    loosePictures: {},
    past: {},
    disposeConsent: true,
    consent: true,
    takenIn: "2026-02-20",
    stripFinished: true,
    greaseStates: [],
    fillSchool: "measured",
    washed: true,
    benchFinds: [],
    basketAim: "least cost",
    toFit: [],
    lubePoints: chambers.map((c, i) => ({
      id: `g${i + 1}`,
      chamber: c.id,
      where: c.name,
      lubricant: c.lubricant,
      grams: 12,
      weighedGrams: 12,
    })) as unknown as Job["lubePoints"],
    readings: [],
    pictures: [],
    quotes: [],
    orders: [],
    arrivals: [],
    services: [],
    linesDone: laid.map((s) => undoKey(s.id)),
    answers: [],
    ...more,
    ...(chambers.length ? { chambers: chambers as unknown as Job["chambers"] } : {}),
    parts: known as unknown as Job["parts"],
    steps: laid as unknown as Job["steps"],
    causes: { chosen: [...causes] },
    findings: parts.flatMap(({ mode }, i) =>
      mode
        ? [
            {
              part: `p${i + 1}`,
              mode,
              teeth: {},
              gear: {},
              got: { from: "counter", says: "Reed and Son", price: 12.5 },
            },
          ]
        : [],
    ) as unknown as Job["findings"],
  };
  return {
    ...job,
    answers: finalChecks(job).map((c) => ({
      question: finalKey(c.check),
      answer: c.agreed ?? "yes",
      at: AT,
      ...(c.unit
        ? { value: c.max === undefined ? 2 * (c.min ?? 1) : c.max / 2, unit: c.unit, note: limitInWords(c) }
        : {}),
    })),
  };
}

/** What a sheet of such a job is made of besides. */
export const sheetInput = (job: Job): ReportInput => ({
  job,
  catalogue: [],
  lubricants: [],
  shop: {
    name: "The bench",
    town: "Quillmoor",
    currency: "€",
    rates: { perHour: 60, markupPercent: 25, taxPercent: 20, ifDeclined: 25, minMinutes: 15 },
    limits: USUAL_LIMITS,
    warrantyMonths: 6,
  },
  beside: { parts: [], consumables: [], work: [{ says: "Strip and diagnosis", minutes: 40 }] },
  units: "metric",
  form: "long",
  day: (iso) => iso.slice(0, 10),
  time: (iso) => iso.slice(11, 16),
  now: AT,
});
