import { expect, it } from "vitest";
import { recordTables } from "@/shop/record/record-tables";
import { database } from "@/store/database";
import { createJob, jobVersion, setHead } from "@/store/jobs";
import { setCauses, setFinding } from "@/store/judge";
import { pastJobs } from "@/store/past-jobs";
import { layDown } from "@/store/strip";
import { step, testShop } from "@/store/test-shop";
import { GET as find } from "../find/route";
import { GET as csvOf } from "./[table]/route";

testShop();
const version = async (number: string): Promise<number> => (await jobVersion(number)) ?? 0;

async function wentHome(more: object, at: string): Promise<string> {
  const number = await createJob({ kind: "flour mill", maker: "Velbrant", model: "Mola", ...more });
  await layDown(number, "any", step({ parts: [{ name: "=crown wheel", kind: "gear" }], minutes: 6 }));
  await setFinding(number, await version(number), "p1", { mode: "worn" });
  await setHead(number, await version(number), { handedBackAt: at }, "handed back");
  return number;
}

it("an empty shop has an empty record, and says so", async () => {
  expect(await pastJobs()).toEqual([]);
  for (const t of recordTables([])) expect([t.rows, t.none.length > 20]).toEqual([[], true]);
});

it("what went home is in the record, and in its tables as CSV that no spreadsheet executes; what is at work is not", async () => {
  const first = await wentHome({ past: { years: 5 } }, "2026-03-08T10:00:00.000Z");
  const back = await wentHome(
    { warrantyOf: first, takenIn: "2026-04-01", complaint: "grinds again", past: { years: 5 } },
    "2026-04-03T10:00:00.000Z",
  );
  await createJob({ kind: "flour mill" });
  const jobs = await pastJobs();
  expect(jobs.map((j) => j.number)).toEqual([first, back]);
  expect(jobs[0]).toMatchObject({ planned: 12, failed: [{ name: "=crown wheel", mode: "worn" }], years: 5 });
  const get = async (table: string): Promise<Response> =>
    csvOf(new Request("http://x/"), { params: Promise.resolve({ table }) });
  expect(await (await get("comebacks")).text()).toContain(
    `${back},${first},Velbrant Mola,24,grinds again,'=crown wheel,`,
  );
  expect((await (await get("failures")).text()).split("\r\n")[1]).toBe(
    "Velbrant Mola,'=crown wheel,2,2,worn,5",
  );
  expect((await get("nothing")).status).toBe(404);
  const answer = (await (await find(new Request("http://x/api/find?q=mola"))).json()) as {
    number: string;
    warrantyOf?: string;
  }[];
  expect(answer.map((j) => [j.number, j.warrantyOf])).toEqual([
    [back, first],
    [first, undefined],
  ]);
});

it("a job that cannot be read stops none of the others", async () => {
  const db = await database();
  const [{ n }] = (await db("jobs").whereNotNull("handed_back_at").count({ n: "*" })) as [{ n: number }];
  const bad = await wentHome({}, "2026-05-01T10:00:00.000Z");
  await db("jobs").where({ number: bad }).update({ causes: "{" });
  expect((await pastJobs()).length).toBe(Number(n));
});

it("what verdicts teach is a table, and says so where none of them counts any more", async () => {
  const number = await wentHome({ kind: "oat crusher" }, "2026-06-01T10:00:00.000Z");
  await setCauses(number, await version(number), { chosen: ["hair"] }, "cause");
  const causes = async (since: Record<string, string>) =>
    recordTables(await pastJobs(), since).find((t) => t.table === "causes");
  expect((await causes({}))?.rows).toContainEqual([
    "oat crusher",
    expect.stringMatching(/wound/),
    "1",
    "1",
    expect.any(String),
    expect.any(String),
  ]);
  expect(await causes({ "oat crusher": "2026-07-01T00:00:00.000Z" })).toMatchObject({
    rows: [],
    none: expect.stringMatching(/^No verdict counts/),
  });
});
