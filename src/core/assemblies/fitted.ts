import type { Look } from "../job/assembly";

const PREFIX = "fitted ";

/**
 * What is looked at once something new is in that took the place of an old one: its own fastening, wires,
 * grease and setting, of which the strip says nothing.
 */
export const fittedLook = (name: string): Look => ({
  act: "look",
  moment: "on",
  key: `${PREFIX}${name.replaceAll(":", " ")}`,
  asks: `Is the new one, ${name}, fastened and connected as the old one was, and greased and set where it has to be?`,
  ifNot: "Do now what is left of it, by the maker’s sheet: nothing of it can be reached once this is closed.",
  because: "it came with a new part, and the strip knows how the old one was held, not this one",
});

/** The look of that key; undefined: it is none of these. */
export const fittedBy = (key: string): Look | undefined =>
  key.startsWith(PREFIX) ? fittedLook(key.slice(PREFIX.length)) : undefined;
