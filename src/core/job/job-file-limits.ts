import { Fault } from "../fault";

/**
 * A job file of the longest strip that anybody wrote down has a hundredth of this. What is larger is no job,
 * and reading it would keep every screen of the shop waiting.
 */
export const MOST_JSON_BYTES = 16 * 2 ** 20;
/** Records inside records: the format has eight levels, the rest is room for what others put under `x`. */
const DEEPEST = 40;
/** Values all together. */
const MOST_VALUES = 500_000;

/** What there may be all together in one job, over all its steps and findings. */
const MOST_IN_ALL = {
  needs: 50_000,
  hardware: 10_000,
  parts: 10_000,
  pictures: 3000,
  readings: 5000,
} as const;

/**
 * Refuses what no program should read any further: too deep, or too much. Goes through it without calling
 * itself, so that depth is no danger here.
 *
 * Throws a Fault for the whole.
 */
export function refuseMonster(json: unknown): void {
  const open: { readonly value: unknown; readonly deep: number }[] = [{ value: json, deep: 0 }];
  let values = 0;
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, deep } = next;
    if (++values > MOST_VALUES)
      throw new Fault("", `this file holds more than ${MOST_VALUES / 1000} thousand values: that is no job`);
    if (typeof value !== "object" || value === null) continue;
    if (deep >= DEEPEST)
      throw new Fault("", `records stand inside each other more than ${DEEPEST} deep in this file`);
    for (const inside of Object.values(value)) open.push({ value: inside, deep: deep + 1 });
  }
}

type Some = readonly unknown[] | undefined;
interface Counted {
  readonly steps: readonly {
    readonly needs?: Some;
    readonly hardware?: Some;
    readonly parts?: Some;
    readonly pictures?: Some;
  }[];
  readonly findings?: readonly { readonly readings?: Some }[] | undefined;
}

/** Refuses a job that has too much of one thing, which is no single place's fault. */
export function refuseTooMany(file: Counted): void {
  const inAll = {
    needs: count(file.steps, (s) => s.needs),
    hardware: count(file.steps, (s) => s.hardware),
    parts: count(file.steps, (s) => s.parts),
    pictures: count(file.steps, (s) => s.pictures),
    readings: count(file.findings ?? [], (f) => f.readings),
  };
  for (const what of ["needs", "hardware", "parts", "pictures", "readings"] as const)
    if (inAll[what] > MOST_IN_ALL[what])
      throw new Fault(
        what === "readings" ? "findings" : "steps",
        `${what} are ${inAll[what]} in all; one job may have ${MOST_IN_ALL[what]}`,
      );
}

const count = <T>(things: readonly T[], of: (t: T) => Some): number =>
  things.reduce((n, t) => n + (of(t)?.length ?? 0), 0);
