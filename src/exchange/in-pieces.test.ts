import { expect, it } from "vitest";
import { inPieces } from "./in-pieces";

it("hands everything on, in order, and lets others have their turn between two pieces", async () => {
  const lines = Array.from(
    { length: 20_000 },
    (_, i) => `line ${i}, as long as one of a table may well be\n`,
  );
  let [turns, over] = [0, false];
  const others = (): void => {
    turns++;
    if (!over) setImmediate(others);
  };
  setImmediate(others);
  const pieces: string[] = [];
  for await (const piece of inPieces(lines)) pieces.push(piece);
  over = true;
  expect(pieces.join("")).toBe(lines.join(""));
  expect(pieces.length).toBeGreaterThan(10);
  expect(turns).toBeGreaterThanOrEqual(pieces.length - 1);
  for await (const piece of inPieces([])) expect.unreachable(piece);
});
