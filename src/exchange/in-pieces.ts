import { setImmediate as turn } from "node:timers/promises";

const PIECE = 64 * 1024;

/**
 * Lines in pieces of some ten thousand letters, with a turn for everybody else between two. Lines that come
 * out of a database in the same process never wait for anything: handed on one by one they keep every other
 * question
 * from being heard until the last is out.
 */
export async function* inPieces(lines: AsyncIterable<string> | Iterable<string>): AsyncGenerator<string> {
  let piece = "";
  for await (const line of lines) {
    piece += line;
    if (piece.length < PIECE) continue;
    yield piece;
    piece = "";
    await turn();
  }
  if (piece) yield piece;
}
