/**
 * Ids as they stand in an address. Files from elsewhere name their parts as they like: with blanks, umlauts,
 * slashes, as "..".
 */

const PLAIN = /^[\w-]+$/;

/** @example inAddress("p7") // "p7"; inAddress("Rad 1") // "~UmFkIDE" */
export function inAddress(id: string): string {
  if (PLAIN.test(id)) return id;
  const bytes = String.fromCharCode(...new TextEncoder().encode(id));
  return `~${btoa(bytes).replaceAll("+", "-").replaceAll("/", "_").replaceAll("=", "")}`;
}

/** The inverse of {@link inAddress}; what is none is taken as it stands. */
export function fromAddress(said: string): string {
  if (!said.startsWith("~")) return said;
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(
      Uint8Array.from(atob(said.slice(1).replaceAll("-", "+").replaceAll("_", "/")), (c) => c.charCodeAt(0)),
    );
  } catch {
    return said;
  }
}

/** The gear bench of a part. */
export const gearBenchOf = (number: string, part: string): string =>
  `/jobs/${number}/judge/gear/${inAddress(part)}`;
/** Where a gear is drawn to be made. */
export const makingOf = (number: string, part: string): string =>
  `/jobs/${number}/match/make/${inAddress(part)}`;
