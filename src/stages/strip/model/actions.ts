"use server";

import { z } from "zod";
import { type WrittenGuide, writtenGuide } from "@/core/memory/written-guide";
import { writeGuide } from "@/store/guides";
import { type ActionResult, act } from "../../saving/act";
import { onJob } from "../../saving/action-input";

const input = z.object({
  ...onJob,
  /** the version of the guide that was on the screen */
  guide: z.int().min(0),
  written: writtenGuide,
  /** what was written, for the history */
  says: z.string().min(1).max(300),
});

/** What was written by hand into the guide of a job's model. */
export async function sayInGuide(
  raw: Omit<z.infer<typeof input>, "written"> & { readonly written: WrittenGuide },
): Promise<ActionResult> {
  return act(input, raw, ({ number, version, guide, written, says }) =>
    writeGuide(number, version, guide, written, says),
  );
}
