/**
 * Reads every photograph of a folder that has its truth beside it, and says how many were right.
 *
 *   npx tsx demo/gear-photos/measure.ts [FOLDER]     VERBOSE=1 names those that were not
 */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readGearFile } from "../../src/cli/gear-read";
import type { GearTruth } from "./scene";

export interface Measured {
  readonly right: number;
  readonly unsure: number;
  readonly wrong: readonly string[];
  readonly missingRight: number;
  readonly of: number;
  readonly medianMs: number;
}

export async function measured(
  folder: string,
  tell: (line: string) => void = () => undefined,
): Promise<Measured> {
  const truths = readdirSync(folder)
    .filter((f) => f.endsWith(".json"))
    .map((f) => JSON.parse(readFileSync(join(folder, f), "utf8")) as GearTruth);
  const out = { right: 0, unsure: 0, wrong: [] as string[], missingRight: 0 };
  const times: number[] = [];
  for (const t of truths) {
    const read = await readGearFile(join(folder, t.file), undefined);
    times.push(read.elapsedMs);
    if (read.teeth === t.teeth) {
      out.right++;
      if (t.teeth === null || read.missing.count === t.missingCount) out.missingRight++;
      else tell(`${t.file}: ${t.missingCount} missing, read ${read.missing.count}`);
      continue;
    }
    if (read.teeth === null) out.unsure++;
    else out.wrong.push(t.file);
    tell(
      `${t.file}: ${t.teeth ?? "no single gear"}, ${t.material} on ${t.background}, tilt ${t.tilt}, read ${read.teeth ?? `none (${read.candidates.map((c) => c.teeth).join(", ")})`}`,
    );
  }
  times.sort((a, b) => a - b);
  return { ...out, of: truths.length, medianMs: times[times.length >> 1] ?? 0 };
}

if (process.argv[1]?.endsWith("measure.ts")) {
  const m = await measured(
    process.argv[2] ?? "demo/gear-photos/jpeg",
    (line) => process.env.VERBOSE && console.log(line),
  );
  console.log(
    `right ${m.right} of ${m.of}, not sure ${m.unsure}, wrong ${m.wrong.length}; missing right ${m.missingRight} of ${m.right}; median ${m.medianMs} ms`,
  );
}
