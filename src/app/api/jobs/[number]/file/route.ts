import { Fault } from "@/core/fault";
import { packJob } from "@/exchange/job-zip";
import { parcelOf } from "@/store/job-file";

/** The job as its open file, `NUMBER.demontage.zip`. */
export async function GET(_: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  const { number } = await params;
  try {
    const bytes = packJob(await parcelOf(number));
    return new Response(new Uint8Array(bytes), {
      headers: { "content-type": "application/zip", "content-disposition": `attachment; filename="${number}.demontage.zip"` },
    });
  } catch (e) {
    if (e instanceof Fault) return Response.json({ says: e.says }, { status: 404 });
    throw e;
  }
}
