import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, it } from "vitest";
import { saidInWords } from "./piece";
import { quickLine } from "./quick-line";

const paper = readFileSync(join(import.meta.dirname, "../../../docs/quick-line.md"), "utf8");
const rows = [...paper.matchAll(/^\| `(.+?)` \| (.+?) \|$/gm)].map(
  (m) => [m[1] as string, m[2] as string] as const,
);

it("has its examples", () => {
  expect(rows.length).toBeGreaterThan(25);
});

it.each(rows)("what the paper says of “%s” is so", (line, wanted) => {
  expect(quickLine(line).hardware.map(saidInWords).join("; ") || "nothing").toBe(wanted);
});
