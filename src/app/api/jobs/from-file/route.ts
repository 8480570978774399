import { revalidatePath } from "next/cache";
import { changing } from "@/app/api/changing";
import { readJobParcel } from "@/exchange/job-zip";
import { withUploadedForm } from "@/exchange/uploaded-form";
import { takeInJobFile } from "@/store/job-file";
import { arrivingFolder } from "@/store/picture-files";

/** More than any job of a small shop has. */
const MOST_BYTES = 600 * 2 ** 20;

/**
 * Takes a job file in: a form with `file`, and `asNew` where it is to have the next number here. Answers its
 * number, and the pictures that were not in it.
 */
export async function POST(request: Request): Promise<Response> {
  return changing(request, "bench", async () => {
    const taken = await withUploadedForm(
      request,
      { folder: arrivingFolder(), file: "file", most: MOST_BYTES },
      ({ fields, path }) => readJobParcel(path, (parcel) => takeInJobFile(parcel, fields.asNew === "yes")),
    );
    revalidatePath("/", "layout");
    return Response.json(taken);
  });
}
