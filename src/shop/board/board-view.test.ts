import { describe, expect, it } from "vitest";
import { createJob, setHead } from "@/store/jobs";
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
