import { describe, expect, it, vi } from "vitest";
import { database } from "@/store/database";
import { createJob, setHead } from "@/store/jobs";
import { rawJob } from "@/store/raw-job";
import { testShop } from "@/store/test-shop";
import { boardView } from "./board-view";

testShop();
const today = "2026-11-24";
const line = async (number: string) => (await boardView(today)).jobs.find((j) => j.number === number);

describe("the board", () => {
  it("of an empty shop has no line and nothing to take up", async () => {
    expect(await boardView(today)).toMatchObject({ jobs: [], next: null });
  });
  it("says what is next of each job, and follows a job that moves", async () => {
    const number = await createJob({ promised: "2026-11-25" });
    expect(await line(number)).toMatchObject({ kind: "", next: "Say what kind of unit it is." });
    await setHead(number, 1, { kind: "mill" }, "kind: mill");
    expect(await line(number)).toMatchObject({ kind: "mill", next: "Say which model it is, or “unknown”." });
    await setHead(number, 2, { handedBackAt: "2026-11-23T10:00:00.000Z" }, "handed back");
    expect(await line(number)).toMatchObject({ next: "", handedBackAt: "2026-11-23T10:00:00.000Z" });
  });
  it("takes up the earliest promise, and of two the one that is further along", async () => {
    await createJob({ kind: "first", promised: "2026-11-26", stage: "strip" });
    const further = await createJob({ kind: "second", promised: "2026-11-26", stage: "rebuild" });
    await createJob({ kind: "no day" });
    const { next } = await boardView(today);
    expect([next?.job.number, next?.says]).toEqual([further, "put it together, second"]);
  });
});

describe("a job that cannot be read", () => {
  it("stands on the board with its number, and stops no other; what there is of it can be saved", async () => {
    const quiet = vi.spyOn(console, "error").mockImplementation(() => undefined);
    const [own, hung, sound] = [await createJob(), await createJob(), await createJob()];
    const db = await database();
    await db("jobs").where({ number: own }).update({ symptoms: "{oops", version: 9 });
    const { id } = await db("jobs").where({ number: hung }).first("id");
    await db("steps").insert({ job_id: id, ref: "s1", position: 0, action: "pull", facts: "{oops" });
    await db("jobs").where({ number: hung }).update({ version: 9 });
    const lines = new Map((await boardView(today)).jobs.map((j) => [j.number, j]));
    expect([lines.get(own)?.damaged, lines.get(hung)?.damaged, lines.get(sound)?.damaged]).toEqual([
      true,
      true,
      undefined,
    ]);
    expect(lines.get(own)?.next).toMatch(/cannot be read/);
    expect(quiet).toHaveBeenCalledWith(expect.stringContaining(own));
    expect((await rawJob(own))?.jobs?.[0]).toMatchObject({ symptoms: "{oops" });
    expect((await rawJob(hung))?.steps?.[0]).toMatchObject({ facts: "{oops" });
    quiet.mockRestore();
    await db("jobs").whereIn("number", [own, hung]).delete();
  });
});
