/** A shop of their own for the tests of the store, and the few things they all need. */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll } from "vitest";
import { Fault } from "@/core/fault";
import type { NewStep } from "@/core/job/recorded-step";
import type { Job } from "../core/job/job";
import { database } from "./database";
import { loadJob } from "./job";

/** An empty shop in a folder of its own, taken away after the tests of the file. Answers the folder. */
export function testShop(): string {
  const folder = mkdtempSync(join(tmpdir(), "shop-"));
  beforeAll(() => {
    process.env.DEMONTAGE_DATA = folder;
  });
  afterAll(async () => {
    await (await database()).destroy();
    rmSync(folder, { recursive: true, force: true });
  });
  return folder;
}

export const step = (more: Partial<NewStep> = {}): NewStep => ({
  action: "pull",
  parts: [{ name: "wheel", kind: "gear" }],
  hardware: [],
  needs: [],
  ...more,
});
export const grey = (width = 80, height = 60) =>
  sharp({ create: { width, height, channels: 3, background: "#888" } });

export async function job(number: string): Promise<Job> {
  const found = await loadJob(number);
  if (!found) throw new Error(`no ${number}`);
  return found;
}

/** The sentence with which some work was refused. */
export async function faultOf(work: Promise<unknown>): Promise<string> {
  const e = await work.then(
    () => null,
    (x: unknown) => x,
  );
  if (!(e instanceof Fault)) throw new Error(`no Fault: ${e}`);
  return e.says;
}
