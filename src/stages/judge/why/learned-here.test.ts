import { expect, it } from "vitest";
import { learnedKinds } from "@/core/record/record";
import { loadJob, thereIs } from "@/store/job";
import { createJob, jobVersion, setHead } from "@/store/jobs";
import { setCauses } from "@/store/judge";
import { pastJobs } from "@/store/past-jobs";
import { learnAfresh, shopSettings } from "@/store/settings";
import { testShop } from "@/store/test-shop";
import { verdictsOf } from "@/store/verdicts";
import { evidenceHere } from "./evidence-here";

testShop();
const version = async (number: string): Promise<number> => (await jobVersion(number)) ?? 0;
async function wentHome(cause: string, more: object = {}): Promise<string> {
  const number = await createJob({ kind: "twine baler", model: "B 2", ...more });
  await setCauses(number, await version(number), { chosen: [cause] }, "cause");
  await setHead(number, await version(number), { handedBackAt: "2026-03-08T10:00:00.000Z" }, "handed back");
  return number;
}

it("what went home counts for the next of its kind; what came back, what is at work and other kinds do not", async () => {
  const on = await createJob({ kind: "Twine baler", model: "B 2" });
  const now = async () => evidenceHere(thereIs(await loadJob(on), on));
  expect((await now()).evidence.priors).toBeUndefined();
  await wentHome("hair");
  const second = await wentHome("hair");
  await wentHome("dry", { kind: "hay rake" });
  const atWork = await createJob({ kind: "twine baler" });
  await setCauses(atWork, await version(atWork), { chosen: ["dry"] }, "cause");
  const hair = async () => (await now()).learned.find((l) => l.cause === "hair");
  expect(await hair()).toMatchObject({ n: 2, m: 2 });
  await createJob({ kind: "twine baler", warrantyOf: second });
  expect(await hair()).toMatchObject({ n: 1, m: 2 });
  expect(await verdictsOf("", on)).toEqual([]);
});

it("a kind that is started afresh counts only what went home since, until all of it counts again", async () => {
  await wentHome("hair", { kind: "hop picker" });
  const on = await createJob({ kind: "Hop picker", model: "B 2" });
  const hair = async () =>
    (await evidenceHere(thereIs(await loadJob(on), on))).learned.find((l) => l.cause === "hair");
  const inRecord = async () =>
    learnedKinds(await pastJobs(), (await shopSettings()).learnedSince).find((k) => k.kind === "hop picker");
  expect(await hair()).toMatchObject({ n: 1, m: 1 });
  expect(await inRecord()).toMatchObject({ verdicts: 1, causes: [{ cause: "hair", n: 1, m: 1 }] });
  await learnAfresh("hop picker", "2026-05-01T00:00:00.000Z");
  expect(await hair()).toBeUndefined();
  expect(await inRecord()).toMatchObject({ verdicts: 0, since: "2026-05-01T00:00:00.000Z", causes: [] });
  await learnAfresh("hop picker", null);
  expect(await hair()).toMatchObject({ n: 1, m: 1 });
});
