import { partNamed } from "@/core/job/part";
import { type Ghost, ghostOf } from "@/core/memory/ghost";
import { loadJob } from "@/store/job";
import { stripsOfModel } from "@/store/same-model";
import { titleOf } from "../job-view/pocket-look";

/** The strip of the last other unit of a job's model; null: there is none. */
export async function ghostFor(number: string): Promise<Ghost | null> {
  const job = await loadJob(number);
  const [last] = job ? await stripsOfModel(job) : [];
  const other = last === undefined ? null : await loadJob(last);
  return other && ghostOf(other, (s) => titleOf(s, (id) => partNamed(other, id)));
}
