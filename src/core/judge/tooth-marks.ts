/** Marks on a single tooth of the gear face, with the key that sets them. */
export const TOOTH_MARKS = [
  { mark: "missing", says: "Missing", key: "1", gone: true },
  { mark: "broken", says: "Part broken", key: "2", gone: true },
  { mark: "chipped", says: "Chipped", key: "3", gone: false },
  { mark: "knife", says: "Knife-edged", key: "4", gone: false },
  { mark: "cracked", says: "Root crack", key: "5", gone: false },
  { mark: "melted", says: "Melted", key: "6", gone: false },
  { mark: "worn-right", says: "Worn right ›", key: "7", gone: false },
  { mark: "worn-left", says: "Worn left ‹", key: "8", gone: false },
  { mark: "corroded", says: "Corroded", key: "9", gone: false },
] as const;
export type ToothMark = (typeof TOOTH_MARKS)[number]["mark"];

/** Marks of files written before flanks were told apart. */
export const OLDER_MARKS: readonly string[] = ["worn"];

export type Turning = "clockwise" | "counter-clockwise";

/** A run of neighbouring teeth with one mark, from a tooth number (from 0, clockwise) on. */
export interface ToothRun {
  readonly from: number;
  readonly length: number;
}

export interface ToothExtent {
  /** mark → how many */
  readonly counts: Readonly<Record<string, number>>;
  /** runs of teeth that are gone, whole or in part, longest first */
  readonly goneRuns: readonly ToothRun[];
  /** share of all teeth that carries any mark */
  readonly share: number;
  /**
   * which flank is worn, by how the gear turns: the driving flank pushes (or is pushed) in the usual sense,
   * the coasting one only when it is slowed
   */
  readonly flank: "driving" | "coasting" | "both" | "unknown" | null;
  /** "5 missing in one run (teeth 10 to 14), 2 chipped" */
  readonly says: string;
}

/**
 * The teeth from one to another, the shorter way round, both included.
 *
 * @example runBetween(39, 1, 41) // [39, 40, 0, 1]
 */
export function runBetween(from: number, to: number, teeth: number): number[] {
  const ahead = (to - from + teeth) % teeth;
  const step = ahead <= teeth / 2 ? 1 : -1;
  const length = step === 1 ? ahead : teeth - ahead;
  return Array.from({ length: length + 1 }, (_, i) => (from + step * i + teeth * 2) % teeth);
}

/** Neighbouring teeth, over the seam between the last and the first, longest run first. */
export function runsOf(teethMarked: readonly number[], teeth: number): ToothRun[] {
  const marked = new Set(teethMarked.filter((t) => t >= 0 && t < teeth));
  if (marked.size === teeth) return [{ from: 0, length: teeth }];
  const runs: ToothRun[] = [];
  for (const t of marked) {
    if (marked.has((t - 1 + teeth) % teeth)) continue;
    let length = 1;
    while (marked.has((t + length) % teeth)) length++;
    runs.push({ from: t, length });
  }
  return runs.sort((a, b) => b.length - a.length || a.from - b.from);
}

/**
 * What the marks of a gear come to.
 *
 * Seen from the front with the gear turning clockwise, the right flank of a tooth at the top leads. A gear
 * that drives pushes with its leading flank, one that is driven is
 * pushed on its trailing flank.
 *
 * @param turning as the gear face is drawn; left out: nobody said
 * @param drives true for a driver, false for a driven gear
 */
export function toothExtent(
  marks: Readonly<Record<string, string>>,
  teeth: number,
  turning?: Turning,
  drives?: boolean,
): ToothExtent {
  const counts: Record<string, number> = {};
  for (const mark of Object.values(marks)) counts[mark] = (counts[mark] ?? 0) + 1;
  const withMark = (wanted: (mark: string) => boolean): number[] =>
    Object.keys(marks)
      .filter((t) => wanted(marks[t] as string))
      .map(Number);
  const gone = runsOf(
    withMark((m) => m === "missing" || m === "broken"),
    teeth,
  );
  const says = [...TOOTH_MARKS.map((m) => m.mark as string), ...OLDER_MARKS]
    .filter((mark) => counts[mark])
    .map((mark) => {
      const n = counts[mark] as number;
      const runs = runsOf(
        withMark((m) => m === mark),
        teeth,
      );
      const first = runs[0] as ToothRun;
      const last = ((first.from + first.length - 1) % teeth) + 1;
      const where =
        n === teeth
          ? "all round"
          : runs.length === 1 && n > 1
            ? `in one run (teeth ${first.from + 1} to ${last})`
            : runs.length > 1 && n > 3
              ? `in ${runs.length} places`
              : "";
      return [n, WORDS[mark] ?? mark, where].filter(Boolean).join(" ");
    });
  return {
    counts,
    goneRuns: gone,
    share: teeth ? Object.keys(marks).length / teeth : 0,
    flank: flankOf(counts, turning, drives),
    says: says.join(", "),
  };
}

const WORDS: Readonly<Record<string, string>> = {
  missing: "missing",
  broken: "broken part-way",
  chipped: "chipped",
  knife: "knife-edged",
  cracked: "cracked at the root",
  melted: "melted",
  "worn-right": "worn on the right flank",
  "worn-left": "worn on the left flank",
  worn: "worn",
  corroded: "corroded",
};

function flankOf(
  counts: Readonly<Record<string, number>>,
  turning: Turning | undefined,
  drives: boolean | undefined,
): ToothExtent["flank"] {
  const right = counts["worn-right"] ?? 0;
  const left = counts["worn-left"] ?? 0;
  if (!right && !left) return counts.worn ? "unknown" : null;
  if (right && left && Math.min(right, left) > 0.3 * Math.max(right, left)) return "both";
  if (turning === undefined || drives === undefined) return "unknown";
  const leading = turning === "clockwise" ? "right" : "left";
  const working = drives ? leading : leading === "right" ? "left" : "right";
  return (right > left ? "right" : "left") === working ? "driving" : "coasting";
}
