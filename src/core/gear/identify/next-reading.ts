import { CALIPER_U_MM } from "../../quantity/caliper";
import { spreadOf } from "../../quantity/reading-kinds";
import { radians } from "../../quantity/units";
import { thinnedBy } from "../as-made";
import { type Gear, gearDimensions } from "../dimensions";
import { measuringPin } from "../measuring-pins";
import { overPins } from "../over-pins";
import { bestSpanTeeth, spanOver, spanTeeth } from "../span-measurement";
import type { Doubt, Hypothesis, IdentifyInput } from "./input";

export interface NextReading {
  readonly take: string;
  readonly why: string;
  /** how it is taken, in words for the bench */
  readonly how: string;
  /** which drawing goes with it */
  readonly drawing: "span" | "tip" | "count" | "helix" | "pins" | "centre";
  /** for a span: over how many teeth */
  readonly teeth?: number;
  /** for pins: which, mm */
  readonly pinMm?: number;
}

interface Candidate extends Omit<NextReading, "why"> {
  readonly u: number;
  readonly of: (g: Gear) => number;
}

/** Above this the first answer needs no further reading. */
const SURE = 0.985;

/**
 * The reading to take next. Where readings contradict each other, the one that is likeliest to be the slip,
 * again. Else the one that would settle most: for each that could be taken, how sure the first answer would
 * be on average after it,
 * if each hypothesis in turn were the truth. Null when the first answer is sure already, or nothing would
 * lift it by a hundredth. Nothing is asked for that was taken already and is not doubted, nor what cannot be
 * measured of a fragment.
 */
export function nextReading(
  input: IdentifyInput,
  hypotheses: readonly Hypothesis[],
  doubts: readonly Doubt[] = [],
): NextReading | null {
  const first = hypotheses[0];
  if (!first) return null;
  const [doubted] = doubts;
  if (doubted) return takenAgain(input, doubted, asGear(first));
  if (first.probability > SURE) return null;
  const gears = hypotheses.map(asGear);
  let best: { c: Candidate; sure: number } | undefined;
  for (const c of candidates(input, gears[0] as Gear)) {
    const shows = gears.map(c.of);
    if (shows.some((s) => !Number.isFinite(s))) continue;
    let sure = 0;
    hypotheses.forEach((truth, i) => {
      const weights = hypotheses.map(
        (h, j) => h.probability * Math.exp(-0.5 * (((shows[i] as number) - (shows[j] as number)) / c.u) ** 2),
      );
      sure += (truth.probability * Math.max(...weights)) / weights.reduce((a, b) => a + b, 0);
    });
    // those that come first are the easier ones to take: a later one must settle clearly more
    if (!best || sure > best.sure + 0.01) best = { c, sure };
  }
  if (!best || best.sure < first.probability + 0.01) return null;
  const { u: _, of: __, ...reading } = best.c;
  return {
    ...reading,
    why: `it would make the answer about ${Math.min(99, Math.round(best.sure * 100))} % sure, now ${Math.round(first.probability * 100)} %`,
  };
}

const ROCK = (n: number, kind: IdentifyInput["kind"]): string =>
  `Flat jaws over ${n} teeth, square to the teeth${kind === "helical" ? ", not to the face" : ""}: rock to the smallest reading. Sound teeth only.`;
const COUNT =
  "Mark one tooth with a pen and count round; of a broken gear, an arc between two sound teeth will do.";
const ROLL =
  "Ink the teeth, roll the gear along a straight edge over paper, and measure the lines against square.";
const ACROSS = "Across the tips. With an odd count flat jaws read short; say so and it is put right.";

/**
 * The doubted reading once more. Null where taking it again is not a matter of one reading: all in inches.
 */
function takenAgain(input: IdentifyInput, { reading, why }: Doubt, g: Gear): NextReading | null {
  const span = /^spans\[(\d+)\]$/.exec(reading);
  const teeth = span ? input.spans?.[Number(span[1])]?.teeth : undefined;
  if (teeth !== undefined)
    return {
      take: `span over ${teeth} teeth again`,
      why,
      how: ROCK(teeth, input.kind),
      drawing: "span",
      teeth,
    };
  if (reading === "tipDiameter") return { take: "tip diameter again", why, how: ACROSS, drawing: "tip" };
  if (reading === "teeth" || reading === "arc")
    return { take: "tooth count again", why, how: COUNT, drawing: "count" };
  if (reading === "kind") return { take: "slant of the teeth", why, how: ROLL, drawing: "helix" };
  if (reading === "helixAngle") return { take: "helix angle again", why, how: ROLL, drawing: "helix" };
  if (reading === "overPins" && input.overPins)
    return {
      take: "size over the pins again",
      why,
      how: pinWords(g, input.overPins.pin),
      drawing: "pins",
      pinMm: input.overPins.pin,
    };
  if (reading === "mate.centreDistance")
    return { take: "centre distance again", why, how: SHAFTS, drawing: "centre" };
  if (reading === "rootDiameter")
    return {
      take: "root diameter again",
      why,
      how: "Narrow jaws down in two opposite gaps; with an odd count it reads short.",
      drawing: "tip",
    };
  return null;
}

const pinWords = (g: Gear, pin: number): string =>
  `Two plain ${pin.toFixed(1)} mm shanks in opposite gaps${g.teeth % 2 ? " (nearly: the count is odd)" : ""}, and the caliper over both.`;
const SHAFTS =
  "From shaft to shaft in the case: across both, less half of each shaft. Count the mate's teeth too.";

function candidates(input: IdentifyInput, g: Gear): Candidate[] {
  const out: Candidate[] = [];
  const taken = new Set((input.spans ?? []).map((s) => s.teeth));
  const best = bestSpanTeeth(g);
  // nearest to the best first; a count far from those that were taken tells the pressure angle
  const counts = spanTeeth(g)
    .filter((n) => n >= 2 && !taken.has(n))
    .sort((a, b) => Math.abs(a - best) - Math.abs(b - best) || a - b);
  // what thinning, wear and shift add is the same in every span: beside one that was taken, another tells the
  // base pitch alone
  const beside = [...taken][0];
  for (const n of counts)
    out.push({
      take: `span over ${n} teeth`,
      teeth: n,
      drawing: "span",
      how: ROCK(n, input.kind),
      u: Math.hypot(
        CALIPER_U_MM,
        beside === undefined ? thinnedBy(g.moduleMm, input.making).u : CALIPER_U_MM,
      ),
      of: (x) => spanOver(x, n) - (beside === undefined ? 0 : spanOver(x, beside)),
    });
  // what is left of a broken gear has no opposite tips
  if (input.tipDiameter === undefined && !input.arc)
    out.push({
      take: "tip diameter",
      drawing: "tip",
      how: ACROSS,
      u: spreadOf({ what: "tip diameter" }),
      of: (x) => gearDimensions(x).tipDiameterMm,
    });
  if (input.teeth == null)
    out.push({ take: "tooth count", drawing: "count", how: COUNT, u: 0.3, of: (x) => x.teeth });
  if (input.kind === "helical")
    out.push({
      take: "helix angle: roll the gear over paper and measure the lines",
      drawing: "helix",
      how: ROLL,
      u: 0.5,
      of: (x) => x.helixAngleDeg,
    });
  const pin = measuringPin(g);
  if (pin !== null && !input.overPins && input.kind === "spur" && !input.arc)
    out.push({
      take: `over two ${pin.toFixed(1)} mm pins`,
      pinMm: pin,
      drawing: "pins",
      how: pinWords(g, pin),
      u: CALIPER_U_MM,
      of: (x) => overPins(x, pin),
    });
  if (!input.mate)
    out.push({
      take: "centre distance to the mate",
      drawing: "centre",
      how: SHAFTS,
      u: 0.12,
      of: (x) => (x.moduleMm * x.teeth) / 2 / Math.cos(radians(x.helixAngleDeg)),
    });
  return out;
}

const asGear = (h: Hypothesis): Gear => ({
  teeth: h.teeth,
  moduleMm: h.module,
  pressureAngleDeg: h.pressureAngle,
  helixAngleDeg: h.helixAngle,
  profileShift: h.profileShift,
  addendum: h.addendum,
});
