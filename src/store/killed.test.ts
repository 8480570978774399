import { spawn } from "node:child_process";
import { setTimeout as wait } from "node:timers/promises";
import { describe, expect, it } from "vitest";
import { jobHistory } from "./change";
import { database } from "./database";
import { job, testShop } from "./test-shop";

const folder = testShop();

/**
 * Runs the writer, kills it some milliseconds after its third step, and answers what it had been told until
 * then.
 */
async function killedAfter(ms: number): Promise<{ number: string; steps: number; version: number }> {
  const writer = spawn(process.execPath, ["--import", "tsx", "src/store/killed-writer.ts"], {
    env: { ...process.env, DEMONTAGE_DATA: folder },
    stdio: ["ignore", "pipe", "pipe"],
  });
  let told = "";
  let trouble = "";
  const gone = new Promise<NodeJS.Signals | null>((done) => writer.on("exit", (_, signal) => done(signal)));
  const begun = new Promise<void>((done) => {
    writer.stdout.on("data", (text) => {
      told += text;
      if (/^3 /m.test(told)) done();
    });
    writer.on("exit", () => done());
  });
  writer.stderr.on("data", (text) => {
    trouble += text;
  });
  await begun;
  await wait(ms);
  writer.kill("SIGKILL");
  expect(await gone, trouble).toBe("SIGKILL");
  // a line that was cut off half-way told nothing
  const lines = told.slice(0, told.lastIndexOf("\n")).split("\n");
  const [steps, version] = (lines.at(-1) ?? "").split(" ").map(Number);
  return { number: lines[0] ?? "", steps: steps ?? 0, version: version ?? 0 };
}

describe("a program that is killed while it writes", () => {
  it("has lost nothing that it had acknowledged, and left nothing half done", {
    timeout: 120_000,
  }, async () => {
    for (let round = 0; round < 5; round++) {
      const ms = Math.random() * 60;
      const { number, steps, version } = await killedAfter(ms);
      const said = `killed ${ms.toFixed(2)} ms after its third step, having told of ${steps}`;
      const found = await job(number);
      expect(steps, said).toBeGreaterThanOrEqual(3);
      // the one it was at may have arrived, and nobody was told
      expect([steps, steps + 1], said).toContain(found.steps.length);
      expect(found.version, said).toBeGreaterThanOrEqual(version);
      expect(found.version, said).toBe((await jobHistory(number))[0]?.version);
      found.steps.forEach((s, i) => {
        expect(
          s.hardware?.map((h) => h.qty),
          `${said}: step ${i + 1}`,
        ).toEqual([i + 1]);
        expect(found.parts.find((p) => p.id === s.parts?.[0])?.name, `${said}: step ${i + 1}`).toBe(
          `cover ${i + 1}`,
        );
      });
      expect(new Set(found.steps.map((s) => s.id)).size, said).toBe(found.steps.length);
    }
    const db = await database();
    expect(await db.raw("pragma integrity_check")).toEqual([{ integrity_check: "ok" }]);
    expect(await db.raw("pragma foreign_key_check")).toEqual([]);
  });
});
