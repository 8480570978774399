import { expect, it } from "vitest";
import { loadJob, thereIs } from "@/store/job";
import { createJob, jobVersion, setHead } from "@/store/jobs";
import { setCauses } from "@/store/judge";
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
