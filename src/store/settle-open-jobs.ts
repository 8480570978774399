import { changeJob } from "./change";
import { database } from "./database";

/**
 * What the shelf says anew of a lubricant reaches every job that has taken it and is still in the shop:
 * amounts and names follow, and what it may not go into is open again.
 */
export async function settleOpenJobs(lubricant: string, name: string): Promise<void> {
  const db = await database();
  const rows: { number: string }[] = await db("jobs")
    .whereNull("handed_back_at")
    .where("chambers", "like", `%${JSON.stringify(lubricant)}%`)
    .select("number");
  for (const { number } of rows)
    await changeJob(number, "any", async () => `the shelf says anew what ${name} is`);
}
