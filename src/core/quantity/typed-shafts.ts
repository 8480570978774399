import { typedFigure } from "./typed-figure";

const EACH = /\s*(?:,(?!\d)|;|\band\b|\+|\n)\s*/i;
const COUNT = /^(\d+)\s*(?:of\s+|×\s*|x\s+(?=\d+(?:[.,]\d+)?\s*(?:mm|in|")?\s*[x×])|times\s+)/i;
const ACROSS = /^[ø⌀]?\s*(?<across>.+?)\s*(?:x|×|\bby\b)\s*(?<along>.+)$/i;
/** Sizes of a shaft that a unit of this trade has, mm. */
const MOST = { across: 300, along: 2000 } as const;

/**
 * The volume of what lies in a chamber besides its wheels, out of its sizes as they are typed: across and
 * along, several after one another, in mm unless a unit is said.
 *
 * @returns ml, or a sentence that says what cannot be read
 * @example shaftsMl("10 x 80, 2 of 8 x 40") // 10.305…
 */
export function shaftsMl(text: string): number | string {
  let ml = 0;
  for (const one of text.trim().split(EACH).filter(Boolean)) {
    const counted = COUNT.exec(one);
    const sizes = ACROSS.exec(counted ? one.slice(counted[0].length) : one)?.groups;
    if (!sizes) return `“${one}” is not a shaft: type across × along in mm, 10 x 80, or 2 of 8 x 40.`;
    const [across, along] = [sizes.across, sizes.along].map((s) => typedFigure(s ?? "", "length"));
    if (typeof across === "string") return across;
    if (typeof along === "string") return along;
    if (!across || !along || across.value <= 0 || along.value <= 0)
      return `“${one}”: both sizes lie above 0 mm.`;
    if (across.value > MOST.across || along.value > MOST.along)
      return `“${one}”: a shaft of ${across.value} × ${along.value} mm? Across comes first, both in mm.`;
    ml += (Number(counted?.[1] ?? 1) * Math.PI * across.value ** 2 * along.value) / 4000;
  }
  return ml;
}
