import { measured } from "../../quantity/measured";
import { spreadOf } from "../../quantity/reading-kinds";
import { MM_PER_INCH } from "../../quantity/units";
import type { Doubt, Hypothesis, IdentifyInput } from "./input";
import { logSum } from "./normal-distribution";
import { FAR_OFF, type Residual } from "./ranked";
import { type Reading, readingsFrom } from "./readings";
import type { Slip } from "./slips";
import type { Weighed } from "./weigh";

/** From here on a slip is likelier than none. */
const DOUBTED = 0.5;
/** A reading is named beside the likeliest slip if it is at least this likely to be it. */
const NAMED_TOO = 0.1;

/** The readings that are likely to be slips, the likeliest first, each with a sentence. */
export function doubtsOf(
  input: IdentifyInput,
  weighed: readonly Weighed[],
  first: Hypothesis | undefined,
): Doubt[] {
  let all = Number.NEGATIVE_INFINITY;
  let sound = Number.NEGATIVE_INFINITY;
  const byKey = new Map<string, { log: number; best: Weighed }>();
  for (const w of weighed) {
    all = logSum(all, w.log);
    if (!w.taken.slip) {
      sound = logSum(sound, w.log);
      continue;
    }
    const { key } = w.taken.slip;
    const other = byKey.get(key);
    byKey.set(
      key,
      other
        ? { log: logSum(other.log, w.log), best: other.best.log >= w.log ? other.best : w }
        : { log: w.log, best: w },
    );
  }
  const slips = [...byKey]
    .map(([key, { log, best }]) => ({ key, best, probability: Math.exp(log - all) }))
    .sort((a, b) => b.probability - a.probability);
  const slipped = 1 - Math.exp(sound - all);
  const doubts: Doubt[] =
    slipped > DOUBTED
      ? slips
          .filter((s, i) => i === 0 || s.probability > NAMED_TOO)
          .map(({ key, best, probability }) => ({
            reading: key,
            why: whyDoubted(input, best.taken.slip as Slip, first),
            probability,
          }))
      : [];
  // nothing that is far off goes by without a word
  const keys = [
    ...readingsFrom(input).map((r) => r.key),
    ...(first?.residuals.some((r) => r.what === "helix angle") ? ["helixAngle"] : []),
    ...(input.arc ? ["arc"] : []),
  ];
  first?.residuals.forEach((r, i) => {
    const key = keys[i] as string;
    if (
      Math.abs(r.sigmas) > FAR_OFF &&
      !doubts.some(
        (d) => d.reading === key || d.reading === "units" || d.reading === "teeth" || d.reading === "kind",
      )
    )
      doubts.push({
        reading: key,
        why: whyDoubted(input, { sort: "misread", key }, first),
        probability: slips.find((s) => s.key === key)?.probability ?? 0,
      });
  });
  return doubts;
}

/**
 * For bevels and worms, whose readings are weighed one by one: the reading that does not go with the
 * likeliest name, or all of them where nothing does.
 */
export function doubtsAmong(found: readonly { readonly residuals: readonly Residual[] }[]): Doubt[] {
  const [first] = found;
  if (!first)
    return [
      {
        reading: "",
        why: "no standard size goes with these readings: take them and the counts again",
        probability: 1,
      },
    ];
  const off = first.residuals.find((r) => Math.abs(r.sigmas) > FAR_OFF);
  if (!off) return [];
  const by = `${mm(Math.abs(off.measured - off.expected))} ${off.measured > off.expected ? "less" : "more"}`;
  return [
    {
      reading: off.what,
      why: `no standard size goes with a ${off.what} of ${mm(off.measured)}: the nearest shows ${mm(off.expected)}, ${by}. Take it and the counts again`,
      probability: 1,
    },
  ];
}

/** Where the readings are so far from any tooth that no slip explains them. */
export const nothingFits = (readings: readonly Reading[]): Doubt => ({
  reading: readings[0]?.key ?? "",
  why: `no tooth of module 0.15 to 10 mm shows ${readings.length > 1 ? "such readings" : `a ${readings[0]?.what} of ${mm(readings[0]?.seen.value ?? 0)}`} with that count: take them and the count again`,
  probability: 1,
});

const mm = (x: number): string => `${Number(x.toFixed(2))} mm`;

function whyDoubted(input: IdentifyInput, slip: Slip, first: Hypothesis | undefined): string {
  if (slip.sort === "count") {
    const n = input.teeth ?? 0;
    return `${n} teeth do not go with the readings: with ${n + slip.by} they would all fit. Count again, with a pen mark on the first tooth`;
  }
  if (slip.sort === "slanted")
    return "the readings fit no straight teeth: look along a tooth, it may be slanted; then it is helical";
  if (slip.key === "units")
    return "the readings fit as inches: set the caliper to mm, or write in behind each";
  const reading = readingsFrom(input).find((r) => r.key === slip.key);
  const what = reading?.what ?? (slip.key === "helixAngle" ? "helix angle" : "arc");
  if (slip.sort === "inches" && reading)
    return `${what} ${Number(reading.seen.value.toFixed(4))} fits as inches: that is ${mm(reading.seen.value * MM_PER_INCH)}`;
  if (slip.sort === "jaws")
    return `${what} fits if ${slip.teeth} teeth were between the jaws: count the teeth between them again`;
  const off = first?.residuals.find((r) => r.what === what);
  if (what === "helix angle" || what === "arc") {
    const seen = what === "helix angle" ? measured(input.helixAngle ?? 0, spreadOf({ what })).value : 0;
    return `the ${what}${seen ? ` of ${seen}°` : ""} does not go with the other readings: take it again`;
  }
  if (!off || Math.abs(off.sigmas) < 2) return `${what} does not go with the other readings: take it again`;
  const by = off.measured - off.expected;
  return `${what} reads ${mm(off.measured)}; the other readings want ${mm(off.expected)}, which is ${mm(Math.abs(by))} ${by > 0 ? "less" : "more"}: take it again`;
}
