import { type HardwareFacts, hardwareInWords, isLoose } from "./piece";

/** What is looked at of a piece. */
const SEEN = ["thread", "lengthMm", "drive", "form"] as const;
/** Lengths closer than this are not told apart by eye on the bench, mm. */
const BY_EYE_MM = 3;
/** Lengths further apart than this are not mistaken for each other, mm. */
const FAR_MM = 10;

export interface LookAlike {
  /** index of the piece that is being laid down */
  readonly piece: number;
  /** number of the step that laid down the other one */
  readonly step: number;
  /** how it differs: "like the 4 of step 3, but 4 mm longer" */
  readonly says: string;
  /** cannot be told by eye */
  readonly close: boolean;
}

export interface LaidHardware {
  readonly step: number;
  readonly hardware: readonly HardwareFacts[];
}

/**
 * How two pieces of one kind differ although they look alike; null where they are the same, or plainly
 * different.
 *
 * They look alike if kind, drive and head agree as far as both are known. What may differ unseen: the length
 * by up to 10 mm (3 mm cannot be seen
 * at all), the thread or its pitch, its hand, and the finish.
 *
 * @example differenceOf({ kind: "screw", qty: 2, lengthMm: 20, drive: "TX15" }, { kind: "screw", qty: 4,
 *   lengthMm: 16, drive: "TX15" })?.says // "4 mm longer"
 */
export function differenceOf(
  now: HardwareFacts,
  before: HardwareFacts,
): { says: string; close: boolean } | null {
  if (now.kind === "plug" || now.kind === "other") return null;
  if (now.kind !== before.kind) return acrossKinds(now, before);
  // a thread beside a length and a drive: nothing of the two can be compared
  if (
    SEEN.some((k) => now[k] !== undefined) &&
    SEEN.some((k) => before[k] !== undefined) &&
    !SEEN.some((k) => now[k] !== undefined && before[k] !== undefined)
  )
    return null;
  const agree = (a: string | undefined, b: string | undefined): boolean =>
    a === undefined || b === undefined || a === b;
  const cross = crossRecesses(now.drive, before.drive);
  if ((!agree(now.drive, before.drive) && !cross) || !agree(now.form, before.form)) return null;
  const far =
    now.lengthMm !== undefined &&
    before.lengthMm !== undefined &&
    Math.abs(now.lengthMm - before.lengthMm) > FAR_MM;
  if (far || diametersFarApart(now.thread, before.thread)) return null;
  const out: string[] = [];
  let close = false;
  const differ = (says: string, unseen: boolean): void => {
    out.push(says);
    close ||= unseen;
  };
  if (cross) differ(cross, true);
  if (now.threadIs && before.threadIs && now.threadIs !== before.threadIs)
    differ(now.threadIs === "coarse" ? "coarse, for plastic or sheet" : "with a machine thread", true);
  if (Boolean(now.leftHand) !== Boolean(before.leftHand))
    differ(now.leftHand ? "with a left-hand thread" : "with a right-hand thread", true);
  if (now.thread && before.thread && now.thread !== before.thread)
    differ(`with the thread ${now.thread}, not ${before.thread}`, true);
  if (now.lengthMm !== undefined && before.lengthMm !== undefined && now.lengthMm !== before.lengthMm) {
    const by = Math.abs(now.lengthMm - before.lengthMm);
    differ(`${Number(by.toFixed(2))} mm ${sizeWord(now, now.lengthMm > before.lengthMm)}`, by <= BY_EYE_MM);
  }
  if (now.finish && before.finish && now.finish !== before.finish && out.length)
    out.push(`${now.finish}, not ${before.finish}`);
  return out.length ? { says: out.join(" and "), close } : null;
}

/** PH and PZ of one size: the wrong driver turns in both, and spoils the one. */
function crossRecesses(a: string | undefined, b: string | undefined): string | null {
  const [x, y] = [a, b].map((d) => /^(PH|PZ)(\d)?$/.exec(d ?? ""));
  return x && y && x[1] !== y[1] && (x[2] ?? y[2]) === (y[2] ?? x[2]) ? `with ${a}, not ${b}` : null;
}

/** Rings that are taken for each other although each does something else. */
const RINGS: Readonly<Partial<Record<HardwareFacts["kind"], string>>> = {
  washer: "flat, a washer",
  "disc-spring": "a disc spring, which only looks flat",
  "thrust-washer": "a thrust washer: it runs against what turns",
};
const AS_LARGE_MM = 1;

/**
 * What another kind is, where the two are taken for each other; null: nobody would, or their sizes tell them
 * apart.
 */
function acrossKinds(now: HardwareFacts, before: HardwareFacts): { says: string; close: boolean } | null {
  const says = RINGS[now.kind];
  if (!says || !RINGS[before.kind]) return null;
  const sizes = [now.lengthMm, before.lengthMm];
  if (sizes[0] !== undefined && sizes[1] !== undefined && Math.abs(sizes[0] - sizes[1]) > AS_LARGE_MM)
    return null;
  if (now.thread && before.thread && now.thread !== before.thread) return null;
  return { says, close: true };
}

/** The number in a circlip, a ring or a washer is its diameter, not its length. */
function sizeWord(h: HardwareFacts, more: boolean): string {
  const across = [
    "circlip",
    "e-clip",
    "washer",
    "wavy-washer",
    "lock-washer",
    "disc-spring",
    "thrust-washer",
    "o-ring",
    "seal",
    "ball",
    "bearing",
  ].includes(h.kind);
  return across ? (more ? "larger" : "smaller") : more ? "longer" : "shorter";
}

/** M4 beside M8 is told at a glance; ST3.5 beside M3.5 is not. */
function diametersFarApart(a: string | undefined, b: string | undefined): boolean {
  const d = (t: string | undefined): number | undefined => {
    const m = /^(?:M|ST)?(\d+(?:\.\d+)?)/.exec(t ?? "");
    return m ? Number(m[1]) : undefined;
  };
  const [x, y] = [d(a), d(b)];
  return x !== undefined && y !== undefined && Math.abs(x - y) > 0.3 * Math.max(x, y);
}

/**
 * What of the hardware that is being laid down could be taken for something that lies there already, the
 * nearest of each first.
 * A screw that is the same but has a nut with it, where the other has none, is named as well; one that lies
 * there already just so is not.
 */
export function lookAlikes(now: readonly HardwareFacts[], before: readonly LaidHardware[]): LookAlike[] {
  const out: LookAlike[] = [];
  now.forEach((h, piece) => {
    if (!isLoose(h)) return;
    // of what lies there just so already, nothing is new: the other side's screws are these
    if (
      before.some(({ hardware }) =>
        hardware.some((old) => isSame(h, old) && !companions(h, now, old, hardware)),
      )
    )
      return;
    let nearest: LookAlike | undefined;
    for (const { step, hardware } of before)
      for (const old of hardware.filter(isLoose)) {
        const differs = differenceOf(h, old) ?? companions(h, now, old, hardware);
        if (!differs || (nearest && (nearest.close || !differs.close))) continue;
        nearest = {
          piece,
          step,
          close: differs.close,
          says: `like the ${old.qty === 1 ? "one" : old.qty} of step ${step}, but ${differs.says}`,
        };
      }
    if (nearest) out.push(nearest);
  });
  return out;
}

const TOLD_BY = ["kind", "thread", "threadIs", "lengthMm", "drive", "form", "leftHand", "finish"] as const;
const isSame = (a: HardwareFacts, b: HardwareFacts): boolean =>
  TOLD_BY.every((k) => (a[k] ?? undefined) === (b[k] ?? undefined));

/** What a screw has with it that cannot be seen from its head. */
const WITH_A_SCREW: readonly HardwareFacts["kind"][] = ["nut"];

function companions(
  h: HardwareFacts,
  own: readonly HardwareFacts[],
  old: HardwareFacts,
  theirs: readonly HardwareFacts[],
): { says: string; close: boolean } | null {
  if (
    h.kind !== "screw" ||
    old.kind !== "screw" ||
    h.thread !== old.thread ||
    h.lengthMm !== old.lengthMm ||
    h.drive !== old.drive
  )
    return null;
  const has = (set: readonly HardwareFacts[], kind: HardwareFacts["kind"]): boolean =>
    set.some((x) => x.kind === kind);
  const more = WITH_A_SCREW.filter((k) => has(own, k) && !has(theirs, k));
  const less = WITH_A_SCREW.filter((k) => has(theirs, k) && !has(own, k));
  if (!more.length && !less.length) return null;
  const name = (k: HardwareFacts["kind"]): string => k.replace("-", " ");
  return {
    says: more.length ? `with a ${name(more[0] as "nut")}` : `without a ${name(less[0] as "nut")}`,
    close: false,
  };
}

/**
 * The screws of one step that differ among themselves and have no place: they must be given one, or they go
 * back in the wrong hole. One kind
 * may be left without: it belongs wherever the others do not. Answers their indices.
 *
 * @example piecesWithoutPlace([{ kind: "screw", qty: 4, lengthMm: 16 }, { kind: "screw", qty: 2, lengthMm: 20
 *   }]) // [0, 1]
 */
export function piecesWithoutPlace(hardware: readonly HardwareFacts[]): number[] {
  return hardware.flatMap((h, i) => {
    if (h.kind !== "screw" || h.at?.trim()) return [];
    return hardware.some((other, k) => k !== i && !other.at?.trim() && differenceOf(h, other)) ? [i] : [];
  });
}

/** The sentence for {@link piecesWithoutPlace}, or null. */
export function placeFault(hardware: readonly HardwareFacts[]): string | null {
  const open = piecesWithoutPlace(hardware);
  if (!open.length) return null;
  const names = open.map((i) => hardwareInWords({ ...(hardware[i] as HardwareFacts), at: undefined }));
  return `${names.join(" and ")} differ, in one step: say where each sits, like “corners” or “fr”`;
}

/**
 * Why a piece should go back new, or null: nuts that hold by being bent, and what seals by being squeezed.
 */
export function onceHint(h: HardwareFacts): string | null {
  if (h.kind === "nut" && h.form === "self-locking") return "a self-locking nut holds once";
  if (h.kind === "nut" && h.form === "dome") return "a dome nut that was opened no longer seals";
  if (h.kind === "seal") return "a seal that came off its shaft leaks";
  if (h.kind === "split-pin") return "a split pin that was bent open breaks when it is bent again";
  if (h.kind === "cable-tie") return "a cable tie is cut";
  if (h.kind === "rivet") return "a rivet is drilled out";
  if (h.kind === "lock-washer") return "a lock washer that is flat no longer locks";
  return null;
}
