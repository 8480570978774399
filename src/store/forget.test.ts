import { readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { jobHistory } from "./change";
import { setCustomer } from "./counter";
import { database } from "./database";
import { saveDraft } from "./drafts";
import { customersLike, forgetCustomer, forgetInJob, forgetOld } from "./forget";
import { createJob, setHead } from "./jobs";
import { setSetting } from "./settings";
import { job, testShop } from "./test-shop";

const folder = testShop();
const NAME = 'Perpetua "Pet" Quillfeather';
const CONTACT = "0777 987 654";

async function jobOf(name = NAME, contact = CONTACT, more: object = {}): Promise<string> {
  const number = await createJob({ kind: "loom", complaint: `${name} says: hums`, ...more });
  await setCustomer(number, 1, { name });
  await setCustomer(number, 2, { contact });
  return number;
}

describe("a customer who is forgotten", () => {
  it("stands nowhere any more: not in the job, its history, its drafts, the book, nor in the database’s file; the job stays", async () => {
    const number = await jobOf();
    const v = await setHead(
      number,
      3,
      { condition: `brought by ${NAME}`, looseItems: [`bag of ${NAME}`] },
      `condition: brought by ${NAME}`,
    );
    await saveDraft(number, "note", { text: `call ${NAME} at ${CONTACT}` });
    const db = await database();
    const { id } = await db("jobs").where({ number }).first("id");
    await db("quotes").insert({ job_id: id, made_at: "2026-11-29", quote: "{}", total: 0, by_whom: NAME });
    expect(await customersLike("quill")).toEqual([{ name: NAME, contact: CONTACT, jobs: 1 }]);
    expect(await forgetCustomer({ name: NAME, contact: CONTACT })).toBe(1);
    await db("quotes").delete();
    const after = await job(number);
    expect(after).toMatchObject({
      kind: "loom",
      customerName: "",
      customerContact: "",
      complaint: "the customer says: hums",
      looseItems: ["bag of the customer"],
      version: v + 1,
    });
    expect((await jobHistory(number)).map((l) => l.what).join()).not.toMatch(/Quillfeather|987/);
    expect(await customersLike("quill")).toEqual([]);
    for (const file of ["shop.sqlite", "shop.sqlite-wal"]) {
      const bytes = readFileSync(join(folder, file), "latin1");
      for (const word of ["Quillfeather", CONTACT])
        expect([file, bytes.includes(word)]).toEqual([file, false]);
    }
  });

  it("of two of one name is the one with that contact", async () => {
    const [one, other] = [await jobOf("Anselm Reddy", "one@post"), await jobOf("Anselm Reddy", "other@post")];
    expect(await forgetCustomer({ name: "Anselm Reddy", contact: "one@post" })).toBe(1);
    expect([(await job(one)).customerName, (await job(other)).customerName]).toEqual(["", "Anselm Reddy"]);
  });

  it("is forgotten in one job alone", async () => {
    const [one, other] = [await jobOf("Greta Pellam"), await jobOf("Greta Pellam")];
    await forgetInJob(one);
    expect([(await job(one)).customerName, (await job(other)).customerName]).toEqual(["", "Greta Pellam"]);
    expect(await customersLike("pellam")).toHaveLength(1);
  });
});

it("customers are forgotten by themselves after the time that the shop sets, and not before", async () => {
  const now = new Date("2026-11-29T10:00:00Z");
  const [old, young, open] = [
    await jobOf("Orla Dunmore", "a@post", { handedBackAt: "2024-10-01T10:00:00.000Z" }),
    await jobOf("Ned Farrow", "b@post", { handedBackAt: "2026-10-01T10:00:00.000Z" }),
    await jobOf("Ida Marsh", "c@post"),
  ];
  expect(await forgetOld(now)).toBe(0);
  await setSetting("forgetAfterMonths", 24);
  expect(await forgetOld(now)).toBe(1);
  expect([
    (await job(old)).customerName,
    (await job(young)).customerName,
    (await job(open)).customerName,
  ]).toEqual(["", "Ned Farrow", "Ida Marsh"]);
  expect([
    await customersLike("dunmore"),
    (await customersLike("farrow")).length,
    (await customersLike("marsh")).length,
  ]).toEqual([[], 1, 1]);
});
