import { hardwareInWords } from "@/core/hardware/piece";
import { partNamed } from "@/core/job/part";
import { pageJob } from "../job-view/page-job";
import type { StepsToAddTo } from "./steps-to-add-to";

export async function stepsToAddToView(number: string): Promise<StepsToAddTo | null> {
  const job = await pageJob(number);
  if (!job) return null;
  return job.steps
    .flatMap((s, at) => {
      if (s.action === "note" || s.action === "block") return [];
      const hardware = (s.hardware ?? []).map((h) => ({ id: h.id, says: hardwareInWords(h) }));
      const came = [...(s.parts ?? []).map((p) => partNamed(job, p)), ...hardware.map((h) => h.says)].join(
        ", ",
      );
      return [{ step: s.id, says: `step ${at + 1}: ${came || (s.title ?? "")}`, hardware }];
    })
    .reverse();
}
