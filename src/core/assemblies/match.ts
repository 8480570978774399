import type { Assembly, AssemblyMoment, Look, Mind } from "../job/assembly";
import { fittedBy } from "./fitted";
import type { GoesBack } from "./goes-back";
import { jointsOf, kindsOf } from "./joints";
import { USUAL } from "./usual";

/**
 * What was struck out: an assembly at one step, or everywhere.
 *
 * @example struckKey("hooks", "s3") // "hooks@s3"
 */
export const struckKey = (assembly: string, step?: string): string =>
  step === undefined ? assembly : `${assembly}@${step}`;

/** A check that is asked nowhere. */
export const notAskedKey = (look: string): string => `look:${look}`;

/** A look of an assembly, where it applies. */
export interface LookHere extends Look {
  readonly assembly: string;
}
export interface MindHere extends Mind {
  readonly assembly: string;
}

/**
 * The assemblies that a step's return is one of: by its joints, by what its parts were said to be, by its
 * pieces.
 *
 * @param own the shop's own, looked at after ours
 * @param struck keys of what was struck out (`struckKey`)
 */
export function assembliesAt(
  back: GoesBack,
  own: readonly Assembly[] = [],
  struck: ReadonlySet<string> = new Set(),
): Assembly[] {
  const joints = jointsOf(back);
  const kinds = kindsOf(back);
  const here = [...USUAL, ...own].filter(({ id, when }) => {
    if (struck.has(struckKey(id)) || struck.has(struckKey(id, back.step.id))) return false;
    return (
      (when.joints ?? []).every((j) => joints.has(j)) &&
      !when.without?.some((j) => joints.has(j)) &&
      (when.kinds?.some((k) => kinds.has(k)) ?? true) &&
      !when.notKinds?.some((k) => kinds.has(k)) &&
      (when.pieces?.some((k) => back.hardware.some((h) => h.kind === k)) ?? true) &&
      (when.freed?.includes(back.step.freed?.how ?? "pull") ?? true) &&
      !(when.freed && !back.step.freed)
    );
  });
  const isAsked = (x: Assembly["adds"][number]): boolean =>
    x.act !== "look" || !struck.has(notAskedKey(x.key));
  return here.map((a) => (a.adds.every(isAsked) ? a : { ...a, adds: a.adds.filter(isAsked) }));
}

/** What is looked at of these, moment by moment. */
export const looksOf = (assemblies: readonly Assembly[], ...moments: readonly AssemblyMoment[]): LookHere[] =>
  assemblies.flatMap((a) =>
    a.adds.flatMap((x) => (x.act === "look" && moments.includes(x.moment) ? [{ ...x, assembly: a.id }] : [])),
  );
/** What is minded of these, moment by moment. */
export const mindsOf = (assemblies: readonly Assembly[], ...moments: readonly AssemblyMoment[]): MindHere[] =>
  assemblies.flatMap((a) =>
    a.adds.flatMap((x) => (x.act === "mind" && moments.includes(x.moment) ? [{ ...x, assembly: a.id }] : [])),
  );

const looks = new Map(
  USUAL.flatMap((a) => a.adds).flatMap((x) => (x.act === "look" ? [[x.key, x] as const] : [])),
);
const lookOf = (key: string, own: readonly Assembly[]): Look | undefined =>
  looks.get(key) ??
  fittedBy(key) ??
  own.flatMap((a) => a.adds).find((x): x is Look => x.act === "look" && x.key === key);

/** The question of a look, for screens and sheets. */
export const lookAsks = (key: string, own: readonly Assembly[] = []): string => lookOf(key, own)?.asks ?? key;
/** What to do where the answer is no; undefined: nobody wrote that down. */
export const lookIfNot = (key: string, own: readonly Assembly[] = []): string | undefined =>
  lookOf(key, own)?.ifNot;
