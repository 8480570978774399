/** Words with a capital at their beginning. @example capital("stays") // "Stays" */
export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** What a Fault says, as a sentence that stands alone. @example sentence("is empty") // "Is empty." */
export const sentence = (says: string): string => `${capital(says)}${/[.!?]$/.test(says) ? "" : "."}`;

/** What went wrong, in the words of whatever was thrown. */
export const saidBy = (e: unknown): string => (e instanceof Error ? e.message : String(e));

/** Things as one lists them. @example listed(["a", "b", "c"]) // "a, b and c" */
export const listed = (things: readonly string[]): string =>
  things.length < 2 ? things.join("") : `${things.slice(0, -1).join(", ")} and ${things.at(-1)}`;

/** A thing with its article. @example aOrAn("ice-cream maker") // "an ice-cream maker" */
export const aOrAn = (thing: string): string => `${/^[aeiou](?!ni|u)/i.test(thing) ? "an" : "a"} ${thing}`;
