import { runsOf } from "../judge/tooth-marks";
import { axesOf, type FacePlane, moved, scaled, sizeOf } from "./face-plane";
import { ANOTHER, inside, type Progress, plain, restless, ringReadings } from "./find-rings";
import { filledDrawing } from "./line-drawing";
import { checkPicture, cutOut, type Picture, type Planes, planesOf } from "./picture";
import { type RingReading, ringReading, seenInPart, weighedByPart, withoutFlanks } from "./ring-reading";
import { followed } from "./track-fit";

/** What `gear read` answers. See docs/formats.md. */
export interface GearReading {
  /** teeth of the whole gear, null where the reader is not sure */
  readonly teeth: number | null;
  readonly confidence: number;
  readonly candidates: readonly { readonly teeth: number; readonly confidence: number }[];
  /** places without a tooth, counted clockwise from 0, the first tooth after twelve o'clock */
  readonly missing: {
    readonly count: number;
    readonly runs: readonly { readonly from: number; readonly length: number }[];
  };
  /**
   * places that something lies over, or that are outside the picture: whether a tooth stands there is not
   * known
   */
  readonly hidden: number;
  /** degrees between the camera's axis and the gear's */
  readonly tilt: number;
  /** of the gear's face, pixels */
  readonly centre: readonly [number, number] | null;
  /** along the long axis, pixels */
  readonly tipDiameterPx: number | null;
  readonly tipDiameter: number | null;
  /** why there is no count */
  readonly says?: string;
}

/** The answer, and the rings it was taken from, in pixels of the picture. */
export interface PictureReading {
  readonly answer: GearReading;
  readonly rings: readonly RingReading[];
}

/** Under this certainty no count is given. */
export const SURE = 0.5;
/** Longest side in which teeth are followed, pixels. */
const MIDDLE = 800;
/**
 * A ring of few teeth that is this small a share of the picture may sit on a wheel that does not stand out:
 * it is not believed before it is seen from nearer.
 */
const FAR = 0.06;
const PINION = 20;

/**
 * Reads a gear from a photograph: finds its ring of teeth, undoes the tilt, counts, and judges every tooth
 * and itself. How: docs/reading-a-gear.md.
 *
 * @param picture decoded, upright; a longest side of 1600 pixels says all that is used of it
 * @throws Fault where the picture is too small to show a tooth
 */
export function readGear(
  picture: Picture,
  options: { readonly mmPerPx?: number; readonly tell?: Progress } = {},
): PictureReading {
  checkPicture(picture);
  const tell = options.tell ?? (() => undefined);
  tell(0, "looking at the whole picture");
  const longest = Math.max(picture.width, picture.height);
  let rings = readWhole(picture, (share, says) => tell(share * 0.8, says));
  // a gear that is small in the picture is looked at again from nearby
  const first = rings[0];
  const reach = first ? 2.8 * axesOf(first.plane).long : longest;
  if (first && longest > MIDDLE && reach < 0.55 * longest && first.evidence.score > 0.5) {
    tell(0.8, "looking closer");
    const side = Math.max(64, Math.round(reach));
    const x = Math.round(Math.max(0, Math.min(picture.width - side, first.plane.centre[0] - side / 2)));
    const y = Math.round(Math.max(0, Math.min(picture.height - side, first.plane.centre[1] - side / 2)));
    const closer = closerLook(cutOut(picture, x, y, side, side), x, y, first, (share, says) =>
      tell(0.8 + share * 0.2, says),
    );
    const best = closer[0];
    if (best && best.certainty >= first.certainty)
      rings = [best, ...closer.slice(1), ...rings.filter((r) => !sameRing(r, best))];
  }
  tell(1, "counted");
  rings = rings
    .map((r) =>
      r.teeth <= PINION && axesOf(r.plane).long < FAR * longest ? { ...r, certainty: r.certainty * 0.45 } : r,
    )
    .map(flanksOfSure);
  return { answer: answerFrom(rings, options.mmPerPx), rings };
}

const sameRing = (a: RingReading, b: RingReading): boolean =>
  Math.hypot(a.plane.centre[0] - b.plane.centre[0], a.plane.centre[1] - b.plane.centre[1]) <
  0.3 * sizeOf(b.plane);

/**
 * A piece of the picture around a ring that was found: followed on from where it was, if it lay plainly
 * there; otherwise searched like any picture.
 */
function closerLook(piece: Picture, x: number, y: number, found: RingReading, tell: Progress): RingReading[] {
  const middle = seenAt(piece);
  const k = piece.width / middle.width;
  const back = (r: RingReading): RingReading => ({ ...r, plane: moved(scaled(r.plane, k), x, y) });
  if (plain(found)) {
    const again = ringReading(
      middle,
      followed(middle, scaled(moved(found.plane, -x, -y), 1 / k), found.teeth, 2),
    );
    if (plain(again) && again.teeth === found.teeth) return [back(again)];
  }
  return ringReadings(middle, tell).map(back);
}

/** Something is said of a ring's flanks only where it is the picture's first and its count is sure. */
const flanksOfSure = (r: RingReading, i = 0): RingReading =>
  i === 0 && r.certainty >= SURE ? r : withoutFlanks(r);

/** A picture as its teeth are looked for: brought to size, a drawing filled in. */
const seenAt = (picture: Picture): Planes => filledDrawing(planesOf(picture, MIDDLE));

/** The rings of a whole picture. */
function readWhole(picture: Picture, tell: Progress): RingReading[] {
  const middle = seenAt(picture);
  const k = picture.width / middle.width;
  return ringReadings(middle, tell).map((r) => ({ ...r, plane: scaled(r.plane, k) }));
}

/**
 * How a ring is laid: `exactly` keeps the count that is given; `settle` looks a little around the place, as
 * after a hand has let go.
 */
export interface Laying {
  readonly exactly?: boolean;
  readonly settle?: boolean;
}

/**
 * Lays rings under a picture by hand: followed from the place that is given, with a count near the one given.
 * The picture is brought to size once.
 */
export function ringLayer(picture: Picture): (plane: FacePlane, teeth: number, how?: Laying) => RingReading {
  checkPicture(picture);
  const middle = seenAt(picture);
  const k = picture.width / middle.width;
  return (plane, teeth, { exactly = false, settle = false } = {}) => {
    const fit = followed(
      middle,
      scaled(plane, 1 / k),
      teeth,
      3,
      exactly ? 0 : Math.max(2, Math.round(teeth * 0.07)),
    );
    const whole = ringReading(middle, settle && !exactly ? restless(middle, fit) : fit, exactly);
    const read = settle && !exactly && whole.certainty < SURE ? weighedByPart(middle, whole) : whole;
    return { ...(settle ? flanksOfSure(read) : withoutFlanks(read)), plane: scaled(read.plane, k) };
  };
}

const round = (x: number, n: number): number => Math.round(x * 10 ** n) / 10 ** n;

/** Is it a gear for certain, whatever its count? */
const isGear = ({ certainty, teeth, evidence: e }: RingReading): boolean =>
  certainty > 0.6 ||
  (teeth > 16 && e.score > 0.74 && e.seen > 0.9 && e.standing > 0.8 && e.separation > 0.15);

/** The rings as an answer. */
export function answerFrom(rings: readonly RingReading[], mmPerPx?: number): GearReading {
  const first = rings[0];
  const none = {
    teeth: null,
    confidence: 0,
    candidates: [],
    missing: { count: 0, runs: [] },
    hidden: 0,
    tilt: 0,
    centre: null,
    tipDiameterPx: null,
    tipDiameter: null,
  };
  if (!first) return { ...none, says: "There is no ring of teeth in this picture." };
  const second = rings.find(
    (r) =>
      r !== first &&
      r.teeth > 8 &&
      isGear(r) &&
      !inside(first.plane, r.plane) &&
      sizeOf(r.plane) > ANOTHER * sizeOf(first.plane),
  );
  const candidates = rings
    .filter(
      (r, i) =>
        (r.certainty > 0.02 || r.evidence.score > 0.7 || seenInPart(r)) &&
        rings.findIndex((o) => o.teeth === r.teeth) === i,
    )
    .slice(0, 3)
    .map((r) => ({ teeth: r.teeth, confidence: round(r.certainty, 3) }));
  if (first.certainty <= 0.02 && first.evidence.score < 0.7 && !seenInPart(first))
    return {
      ...none,
      says: "No ring of teeth stands out in this picture. Take it closer, from above, on a ground of another colour.",
    };
  const sure = first.certainty >= SURE && !second;
  const axes = axesOf(first.plane);
  const gone = first.slots.slots.flatMap((t, i) => (t.state === "missing" ? [i] : []));
  const runs = [...runsOf(gone, first.teeth)].sort((a, b) => a.from - b.from);
  return {
    teeth: sure ? first.teeth : null,
    confidence: round(first.certainty, 3),
    candidates,
    missing: { count: gone.length, runs },
    hidden: first.slots.slots.filter((t) => t.state === "hidden").length,
    tilt: round(axes.tiltDeg, 1),
    centre: [round(first.plane.centre[0], 1), round(first.plane.centre[1], 1)],
    tipDiameterPx: round(2 * axes.long, 1),
    tipDiameter: mmPerPx === undefined ? null : round(2 * axes.long * mmPerPx, 3),
    ...(second
      ? {
          says: "Two gears of about one size are in this picture. Take one away, or cut the picture to the one that is meant.",
        }
      : sure
        ? {}
        : seenInPart(first)
          ? {
              says: `Only a part of the ring is in sight, too little to tell ${first.teeth} teeth from one more or fewer. Uncover the rest, or lay the ring by hand.`,
            }
          : {
              says: "Not sure enough to give a count. Turn the gear a little, clear its teeth, and take it again; or lay the ring by hand.",
            }),
  };
}
