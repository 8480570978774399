/** A name that nothing else has, also on a tablet that reaches the shop without https. */
export const newKey = (): string =>
  [...crypto.getRandomValues(new Uint8Array(12))].map((b) => b.toString(16).padStart(2, "0")).join("");
