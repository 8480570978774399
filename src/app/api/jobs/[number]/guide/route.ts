import { readFile } from "node:fs/promises";
import { revalidatePath } from "next/cache";
import { changing } from "@/app/api/changing";
import { Fault } from "@/core/fault";
import { isOfModel, MOST_GUIDE_BYTES, readGuideFile } from "@/core/memory/guide-file";
import { withUploadedForm } from "@/exchange/uploaded-form";
import { guideOfModel } from "@/stages/strip/model/guide-of";
import { takeInGuide } from "@/store/guides";
import { loadJob, thereIs } from "@/store/job";
import { arrivingFolder } from "@/store/picture-files";

interface OfJob {
  readonly params: Promise<{ number: string }>;
}

/** What a file may be called on any computer. */
const asFileName = (words: string): string =>
  words
    .trim()
    .replace(/[^\p{L}\p{N}]+/gu, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 80) || "model";

/** The guide of a job's model as a file. */
export async function GET(_: Request, { params }: OfJob): Promise<Response> {
  try {
    const file = await guideOfModel((await params).number);
    if (!file)
      return Response.json(
        { says: "Nothing was taken apart yet that a guide could be made of." },
        { status: 404 },
      );
    const name = `${asFileName(`${file.model.maker} ${file.model.model}`)}.demontage-guide.json`;
    return new Response(JSON.stringify(file, null, 1), {
      headers: {
        "content-type": "application/json",
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
      },
    });
  } catch (e) {
    if (e instanceof Fault) return Response.json({ says: e.says }, { status: 404 });
    throw e;
  }
}

/**
 * Takes a guide in for a job's model: a form with `file`, and `allTheSame` where it is of a model that is
 * written otherwise.
 */
export async function POST(request: Request, { params }: OfJob): Promise<Response> {
  const { number } = await params;
  return changing(request, "bench", async () => {
    const { fields, json } = await withUploadedForm(
      request,
      { folder: arrivingFolder(), file: "file", most: MOST_GUIDE_BYTES },
      async ({ fields, path }) => ({
        fields,
        json: read(await readFile(path, "utf8")),
      }),
    );
    const file = readGuideFile(json);
    const job = thereIs(await loadJob(number), number);
    if (fields.allTheSame !== "yes" && !isOfModel(file.model, job))
      throw new Fault(
        "model",
        `this guide is of ${file.model.maker} ${file.model.model}; this unit is ${job.maker} ${job.model}`.replace(
          / +/g,
          " ",
        ),
      );
    const version = await takeInGuide(number, file);
    revalidatePath(`/jobs/${number}`, "layout");
    return Response.json({ version, units: file.units.length });
  });
}

function read(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Fault("", "this file is no JSON, so it is no guide");
  }
}
