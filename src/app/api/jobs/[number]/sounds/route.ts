import { readFile } from "node:fs/promises";
import { revalidatePath } from "next/cache";
import { z } from "zod";
import { changing } from "@/app/api/changing";
import { readWith } from "@/core/fault";
import { withUploadedForm } from "@/exchange/uploaded-form";
import { arrivingFolder } from "@/store/picture-files";
import { addSound, MOMENTS, MOST_SOUND_BYTES } from "@/store/sounds";

const said = z.object({ moment: z.enum(MOMENTS, "say whether it is from before or after the repair") });

/** A recording for a job: a form with `wav` and `moment`. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const { number } = await params;
  return changing(request, "bench", async () => {
    const version = await withUploadedForm(
      request,
      { folder: arrivingFolder(), file: "wav", most: MOST_SOUND_BYTES },
      async ({ fields, path }) => addSound(number, readWith(said, fields).moment, await readFile(path)),
    );
    revalidatePath(`/jobs/${number}`, "layout");
    return Response.json({ version });
  });
}
