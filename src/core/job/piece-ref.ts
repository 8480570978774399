/** A piece that came out, by its id: a part, or hardware of some number. */
export type PieceRef = { readonly part: string } | { readonly hardware: string };

/** @example pieceKey({ part: "p1" }) // "part p1" */
export const pieceKey = (p: PieceRef): string => ("part" in p ? `part ${p.part}` : `hardware ${p.hardware}`);

export const samePiece = (a: PieceRef, b: PieceRef): boolean => pieceKey(a) === pieceKey(b);
