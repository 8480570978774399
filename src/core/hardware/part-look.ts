/**
 * Outlines that a part is drawn with where it has no picture, besides those of its kind: told by its name,
 * for the eye alone. Nothing is decided by it.
 */
const LOOKS: readonly (readonly [look: string, word: RegExp])[] = [
  ["pulley", /\bpulleys?\b/i],
  ["board", /\b(board|pcb|circuit|electronics|module)s?\b/i],
  ["clutch", /\b(clutch(es)?|coupling|coupler)s?\b/i],
  ["lever", /\b(lever|arm|fork|trigger|pedal|rocker)s?\b/i],
  ["knob", /\b(knob|dial|button)s?\b/i],
  ["fan", /\b(fan|impeller|propeller)s?\b/i],
  ["key", /\bkeys?\b/i],
  ["bracket", /\b(bracket|holder|clamp)s?\b/i],
  ["coil", /\b(coil|winding|transformer|element|heater|solenoid)s?\b/i],
  ["hose", /\b(hose|tube|pipe)s?\b/i],
  ["handle", /\b(handle|grip)s?\b/i],
  ["tank", /\b(tank|bowl|jug|reservoir|bottle|bag|bin|container)s?\b/i],
  ["plate", /\b(plate|disc|disk|sole|pad)s?\b/i],
];

/**
 * How a part is drawn: by the last of its name's words that has an outline of its own, else by its kind.
 *
 * @example partLook("fan pulley", undefined) // "pulley"
 */
export function partLook(name: string, kind: string | undefined): string | undefined {
  // what stands behind these is what it belongs to: "wheel of the fan"
  const head = name.split(/\b(?:of|for|from|with|on|in|under|behind|beside|to)\b/i)[0] ?? name;
  let best: { readonly end: number; readonly look: string } | undefined;
  for (const [look, word] of LOOKS) {
    const found = [...head.matchAll(new RegExp(word, "gi"))].at(-1);
    const end = found ? found.index + found[0].length : -1;
    if (end > (best?.end ?? -1)) best = { end, look };
  }
  // "switch board" is a board, "board cover" a cover: the last word is what it is
  const isLast = best && best.end >= head.trimEnd().length;
  return isLast || !kind ? (best?.look ?? kind) : kind;
}
