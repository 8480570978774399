import { isPlastic, plasticFamily } from "../../hardware/material";
import { materialCriterion } from "./compared";
import { type Criterion, criterion } from "./verdict";

/**
 * How hard teeth of a material are against each other: what is softer wears, what is harder wears the other.
 */
const HARDNESS: readonly (readonly [RegExp, number])[] = [
  [/hardened|\b(?:HRC|case)/i, 5],
  [/steel|stainless/i, 4],
  [/cast iron|iron/i, 3.5],
  [/sinter/i, 3],
  [/bronze/i, 2.5],
  [/brass/i, 2.2],
  [/zinc|zamak|alumin/i, 2],
];

/** Fibres in plastic: stronger as a fuse, and a file to its mate. */
const isFilled = (material: string): boolean => /glass|GF|carbon|CF/i.test(material);

/** A rank of hardness, higher is harder; undefined: a material that is not known here. */
function hardness(material: string): number | undefined {
  if (isPlastic(material)) return isFilled(material) ? 1.3 : 1;
  return HARDNESS.find(([is]) => is.test(material))?.[1];
}

/**
 * A gear of another material: never refused, never let through without a question. Harder teeth move the
 * break to what is next in the train and wear the mate; softer ones wear and break sooner. Null where
 * neither is known.
 */
export function toothMaterial(wanted: string | undefined, offered: string | undefined): Criterion | null {
  if (!wanted || !offered) return materialCriterion(wanted, offered, "");
  const said = (verdict: Criterion["verdict"], says: string): Criterion =>
    criterion("material", wanted, offered, "–", verdict, says);
  if (wanted.trim().toLowerCase() === offered.trim().toLowerCase()) return said("same", "as it was");
  if (
    plasticFamily(wanted) !== undefined &&
    plasticFamily(wanted) === plasticFamily(offered) &&
    isFilled(wanted) === isFilled(offered)
  )
    return said("same", `${offered} is ${wanted}`);
  const [was, is] = [hardness(wanted), hardness(offered)];
  if (was === undefined || is === undefined || was === is)
    return said(
      "settle",
      `${offered} instead of ${wanted}: ask whether it stands the load, the grease and the heat`,
    );
  if (is > was)
    return said(
      "settle",
      was <= 1.3
        ? `${offered} instead of ${wanted}: harder. The plastic gear is often the fuse: what breaks next may cost more, and its mate wears. Look at the train first`
        : `${offered} instead of ${wanted}: harder. It wears its mate: only where that is as hard`,
    );
  return said(
    "settle",
    is <= 1.3
      ? `${offered} instead of ${wanted}: softer. It carries perhaps a tenth, and gives way first: only where the drive is light`
      : `${offered} instead of ${wanted}: softer. It wears sooner: ask whether it carries the load`,
  );
}
