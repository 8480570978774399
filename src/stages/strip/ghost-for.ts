import type { Ghost } from "@/core/memory/ghost";
import { ghostWith } from "@/core/memory/written-guide";
import { loadJob } from "@/store/job";
import { unitsOfModel } from "./model/units-of-model";

/**
 * The strip of the last other unit of a job's model, or of a guide that was taken in, with what was written
 * of it; null: there is none.
 */
export async function ghostFor(number: string): Promise<Ghost | null> {
  const job = await loadJob(number);
  if (!job) return null;
  const { units, kept } = await unitsOfModel(job);
  const [last] = units;
  return last ? ghostWith(last.strip, kept.written) : null;
}
