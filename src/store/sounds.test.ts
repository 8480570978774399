import { expect, it } from "vitest";
import { writeWav } from "@/core/sound/write-wav";
import { jobHistory } from "./change";
import { forgetInJob } from "./forget";
import { openJobAgain, setGoingHome } from "./hand-back";
import { loadHead, loadJob } from "./job";
import { createJob, jobVersion, setHead } from "./jobs";
import { addSound, removeSound, soundBytes, soundsOf } from "./sounds";
import { testShop } from "./test-shop";

testShop();

const tone = (hz: number): Buffer =>
  Buffer.from(
    writeWav({
      rate: 8000,
      samples: Float32Array.from({ length: 24_000 }, (_, i) => 0.5 * Math.sin((2 * Math.PI * hz * i) / 8000)),
    }),
  );
const idOf = async (number: string): Promise<number> => (await loadHead(number))?.id ?? 0;
const versionOf = async (number: string): Promise<number> => (await jobVersion(number)) ?? 0;

it("recordings are kept whole, three of each moment, the newest first, and only of their own job", async () => {
  const number = await createJob({ kind: "cherry stoner" });
  const other = await createJob({ kind: "cherry stoner" });
  for (const hz of [100, 200, 300, 400]) await addSound(number, "before", tone(hz));
  await addSound(number, "after", tone(500));
  const kept = await soundsOf(await idOf(number));
  expect(kept.map((s) => s.moment)).toEqual(["after", "before", "before", "before"]);
  expect(kept.every((s) => s.seconds === 3)).toBe(true);
  const newest = kept.find((s) => s.moment === "before")?.id ?? 0;
  expect((await soundBytes(number, newest))?.equals(tone(400))).toBe(true);
  expect(await soundBytes(other, newest)).toBeNull();
  await removeSound(number, await versionOf(number), newest);
  expect((await soundsOf(await idOf(number))).length).toBe(3);
  await expect(removeSound(number, await versionOf(number), newest)).rejects.toMatchObject({
    says: expect.stringContaining("gone already"),
  });
});

it("what is no recording is refused, and nothing is kept", async () => {
  const number = await createJob({});
  await expect(addSound(number, "after", Buffer.from("no sound at all"))).rejects.toMatchObject({
    says: expect.stringContaining("no WAV file"),
  });
  expect(await soundsOf(await idOf(number))).toEqual([]);
});

it("a job that went home is opened again with its reason, its signature and last checks gone; a customer who is forgotten has no signature either", async () => {
  const number = await createJob({ kind: "cherry stoner", customerName: "Dora Finch" });
  await expect(openJobAgain(number, await versionOf(number), "too early")).rejects.toMatchObject({
    says: "this unit has not gone home",
  });
  const signature = {
    by: "Dora Finch",
    at: "2026-11-30T10:00:00.000Z",
    strokes: [[[0.1, 0.2] as [number, number]]],
  };
  await setGoingHome(number, await versionOf(number), { signature, nextLook: "in a year" }, "signed");
  await setHead(number, await versionOf(number), { handedBackAt: "2026-11-30T10:01:00.000Z" }, "handed back");
  await openJobAgain(number, await versionOf(number), "the lid was forgotten");
  const job = await loadJob(number);
  expect(job?.handedBackAt).toBeUndefined();
  expect(job?.home?.signature).toBeUndefined();
  expect(job?.home).toMatchObject({
    nextLook: "in a year",
    openedAgain: [{ wentHome: "2026-11-30T10:01:00.000Z", why: "the lid was forgotten" }],
  });
  expect((await jobHistory(number))[0]?.what).toBe("opened again: the lid was forgotten");
  await setGoingHome(number, await versionOf(number), { signature }, "signed again");
  await forgetInJob(number);
  expect((await loadJob(number))?.home?.signature).toBeUndefined();
  expect((await loadJob(number))?.home?.nextLook).toBe("in a year");
});
