import type { GoingIn } from "./going-in";

/**
 * What is to be minded beside a new part: what must not stay, what it does without, and its own note.
 *
 * @param name of the part whose place it takes
 */
export const besideNew = (g: Pick<GoingIn, "notBeside" | "leavesOut" | "note">, name: string): string[] => [
  ...g.notBeside.map(
    (n) =>
      `Not beside the new ${name}: ${[n.name, n.number].filter(Boolean).join(", ")}${n.why ? `: ${n.why}` : ""}`,
  ),
  ...g.leavesOut.map((l) => `The new ${name} does without: ${l}`),
  ...(g.note ? [`The new ${name}: ${g.note}`] : []),
];
