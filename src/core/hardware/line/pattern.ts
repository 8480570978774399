/** Where a word may begin, and end, in a pattern over letters of any language. */
export const START = String.raw`(?<![\p{L}\p{N}])`;
export const END = String.raw`(?![\p{L}\p{N}])`;

/** A pattern that is written over several lines: a line's end and the blanks around it are no part of it. */
export const patternOf = (source: string): RegExp => new RegExp(source.replace(/\s*\n\s*/g, ""), "iu");
