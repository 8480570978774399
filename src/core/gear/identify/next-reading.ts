import { radians } from "../../quantity/units";
import type { Gear } from "../dimensions";
import type { Doubt, Hypothesis, IdentifyInput } from "./input";
import { measuringPin } from "../measuring-pins";
import { overPins } from "../over-pins";
import { bestSpanTeeth, spanOver } from "../span-measurement";

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
 * The reading that would settle most: for each that could be taken, how sure the first answer would be on average after it,
 * if each hypothesis in turn were the truth. Null when the first answer is sure already, or nothing would lift it by a hundredth.
 */
export function nextReading(input: IdentifyInput, hypotheses: readonly Hypothesis[], doubts: readonly Doubt[] = []): NextReading | null {
  const first = hypotheses[0];
  if (!first || first.probability > SURE) return null;
  const gears = hypotheses.map(asGear);
  let best: { c: Candidate; sure: number } | undefined;
  for (const c of candidates(input, gears[0] as Gear)) {
    const shows = gears.map(c.of);
    let sure = 0;
    hypotheses.forEach((truth, i) => {
      const weights = hypotheses.map((h, j) => h.probability * Math.exp(-0.5 * (((shows[i] as number) - (shows[j] as number)) / c.u) ** 2));
      sure += (truth.probability * Math.max(...weights)) / weights.reduce((a, b) => a + b, 0);
    });
    // those that come first are the easier ones to take: a later one must settle clearly more
    if (!best || sure > best.sure + 0.01) best = { c, sure };
  }
  if (!best || best.sure < first.probability + 0.01) return null;
  return {
    take: best.c.take,
    how: best.c.how,
    drawing: best.c.drawing,
    ...(best.c.teeth === undefined ? {} : { teeth: best.c.teeth }),
    ...(best.c.pinMm === undefined ? {} : { pinMm: best.c.pinMm }),
    why: `it would make the answer about ${Math.min(99, Math.round(best.sure * 100))} % sure, now ${Math.round(first.probability * 100)} %`,
  };
}

function candidates(input: IdentifyInput, g: Gear): Candidate[] {
  const out: Candidate[] = [];
  const taken = new Set((input.spans ?? []).map((s) => s.teeth));
  const k = bestSpanTeeth(g);
  for (const n of [k, k + 1, k - 1])
    if (n >= 2 && !taken.has(n))
      out.push({
        take: `span over ${n} teeth`,
        teeth: n,
        drawing: "span",
        how: `Flat jaws over ${n} teeth, square to the teeth${input.kind === "helical" ? ", not to the face" : ""}: rock to the smallest reading. Sound teeth only.`,
        u: 0.02,
        of: (x) => spanOver(x, n),
      });
  if (input.tipDiameter === undefined)
    out.push({
      take: "tip diameter",
      drawing: "tip",
      how: "Across the tips. With an odd count flat jaws read short; say so and it is put right.",
      u: 0.03,
      of: (x) => (x.teeth * x.moduleMm) / Math.cos(radians(x.helixAngleDeg)) + 2 * x.moduleMm * (1 + x.profileShift),
    });
  if (input.teeth == null)
    out.push({
      take: "tooth count",
      drawing: "count",
      how: "Mark one tooth with a pen and count round; of a broken gear, an arc between two sound teeth will do.",
      u: 0.3,
      of: (x) => x.teeth,
    });
  if (input.kind === "helical")
    out.push({
      take: "helix angle: roll the gear over paper and measure the lines",
      drawing: "helix",
      how: "Ink the teeth, roll the gear along a straight edge over paper, and measure the lines against square.",
      u: 0.5,
      of: (x) => x.helixAngleDeg,
    });
  const pin = measuringPin(g);
  if (pin !== null && !input.overPins && input.kind === "spur")
    out.push({
      take: `over two ${pin.toFixed(1)} mm pins`,
      pinMm: pin,
      drawing: "pins",
      how: `Two plain ${pin.toFixed(1)} mm shanks in opposite gaps${g.teeth % 2 ? " (nearly: the count is odd)" : ""}, and the caliper over both.`,
      u: 0.02,
      of: (x) => overPins(x, pin),
    });
  if (!input.mate)
    out.push({
      take: "centre distance to the mate",
      drawing: "centre",
      how: "From shaft to shaft in the case: across both, less half of each shaft. Count the mate's teeth too.",
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
