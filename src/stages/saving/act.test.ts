import { describe, expect, it, vi } from "vitest";
import { z } from "zod";
import { Fault } from "@/core/fault";
import { passFor } from "@/door/pass";
import { StaleSave } from "@/store/change";
import { DoneBefore, sentNow } from "@/store/sending";
import { act, actAtDesk } from "./act";

const presence: {
  here: boolean;
  role: "desk" | "owner";
  name: string;
  device: string;
  session: number | undefined;
} = {
  here: false,
  role: "owner",
  name: "Ola Brandt",
  device: "Tablet",
  session: 7,
};
vi.mock("next/headers", () => ({
  headers: async () => new Headers({ "x-demontage-pass": passFor(presence as never) }),
}));

const revalidated: string[] = [];
vi.mock("next/cache", () => ({ revalidatePath: (path: string) => revalidated.push(path) }));

const schema = z.object({
  number: z.string(),
  qty: z.int("must be a whole number").min(1, "a count is 1 or more"),
});

describe("the way of every action", () => {
  it("answers the new version, and lets the job's pages be made anew", async () => {
    revalidated.length = 0;
    expect(await act(schema, { number: "J-0001", qty: 2 }, async ({ qty }) => qty + 40)).toEqual({
      ok: true,
      version: 42,
    });
    expect(revalidated).toEqual(["/jobs/J-0001"]);
  });
  it("answers bad input with its place and a sentence, and does no work", async () => {
    const work = vi.fn();
    expect(await act(schema, { number: "J-0001", qty: 0 }, work)).toEqual({
      ok: false,
      path: "qty",
      says: "A count is 1 or more",
    });
    expect(await act(schema, { qty: 1 }, work)).toEqual({ ok: false, path: "number", says: "Is missing" });
    expect(work).not.toHaveBeenCalled();
  });
  it("answers what the core or the store refused with their sentence", async () => {
    const refused = act(schema, { number: "J-0001", qty: 1 }, async () => {
      throw new Fault("steps", "these steps wait for each other in a circle: a → b → a");
    });
    expect(await refused).toEqual({
      ok: false,
      path: "steps",
      says: "These steps wait for each other in a circle: a → b → a",
    });
  });
  it("answers a screen that is behind with what changed", async () => {
    const changes = [{ version: 3, at: "2026-11-24T08:00:00.000Z", what: "maker: X" }];
    const stale = act(schema, { number: "J-0001", qty: 1 }, async () => {
      throw new StaleSave(changes);
    });
    expect(await stale).toMatchObject({ ok: false, stale: changes });
  });
  it("answers what was sent before and done, its answer lost, as it would have been answered then", async () => {
    const work = vi.fn(async () => {
      expect(sentNow()?.name).toBe("n1");
      throw new DoneBefore(7);
    });
    const strict = z.strictObject({ number: z.string() });
    expect(await act(strict, { number: "J-0001", sending: "n1" }, work)).toEqual({ ok: true, version: 7 });
    expect(work).toHaveBeenCalledWith({ number: "J-0001" });
  });
  it("answers somebody who may not with who they are, and does no work", async () => {
    const work = vi.fn();
    presence.role = "desk";
    expect(await act(schema, { number: "J-0001", qty: 1 }, work)).toEqual({
      ok: false,
      path: "",
      says: "This is for the bench: Ola Brandt is signed in as front desk",
    });
    expect(await actAtDesk(schema, { number: "J-0001", qty: 1 }, async () => 3)).toEqual({
      ok: true,
      version: 3,
    });
    presence.session = undefined;
    expect(await actAtDesk(schema, { number: "J-0001", qty: 1 }, work)).toMatchObject({
      ok: false,
      says: "Nobody is signed in on this device",
    });
    presence.role = "owner";
    presence.session = 7;
    expect(work).not.toHaveBeenCalled();
  });
  it("answers what the disk does not let be done with what to do", async () => {
    const full = act(schema, { number: "J-0001", qty: 1 }, async () => {
      throw Object.assign(new Error("database or disk is full"), { code: "SQLITE_FULL" });
    });
    expect(await full).toMatchObject({
      ok: false,
      says: expect.stringMatching(/^Not saved: the disk of the shop’s computer is full\. Make room/),
    });
  });
  it("hides no fault of the program itself", async () => {
    const broken = act(schema, { number: "J-0001", qty: 1 }, async () => {
      throw new TypeError("x is not a function");
    });
    await expect(broken).rejects.toThrow("x is not a function");
  });
});
