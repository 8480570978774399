import { revalidatePath } from "next/cache";
import { z } from "zod";
import { changing } from "@/app/api/changing";
import { readWith } from "@/core/fault";
import { jobPicture } from "@/core/job/picture";
import { CutOff, withUploadedForm } from "@/exchange/uploaded-form";
import { arrivingFolder, MOST_BYTES } from "@/store/picture-files";
import { addPicture } from "@/store/pictures";

const { role, step, part, stepKey } = jobPicture.shape;
/** Where a picture belongs. A field that is sent empty says nothing. */
const belongs = z.preprocess(
  (said) => Object.fromEntries(Object.entries(said as object).filter(([, v]) => v !== "")),
  z.object({ role: role.default("intake"), step, part, stepKey, key: stepKey }),
);

/** A picture for a job: a form with `picture`, `role` and where it belongs. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const { number } = await params;
  return changing(request, "desk", async () => {
    if (Number(request.headers.get("content-length") ?? 0) > MOST_BYTES + 100_000)
      return Response.json({ says: "The picture is larger than 25 MB." }, { status: 413 });
    try {
      const added = await withUploadedForm(
        request,
        { folder: arrivingFolder(), file: "picture", most: MOST_BYTES },
        ({ fields, path }) => addPicture(number, path, readWith(belongs, fields)),
      );
      revalidatePath(`/jobs/${number}`, "layout");
      return Response.json(added);
    } catch (e) {
      if (e instanceof CutOff) return Response.json({ says: e.says }, { status: 400 });
      throw e;
    }
  });
}
