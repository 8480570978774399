import { Readable } from "node:stream";
import { Fault } from "@/core/fault";
import { packJob } from "@/exchange/job-zip";
import { parcelOf } from "@/store/job-file";

/** The job as its open file, `NUMBER.demontage.zip`, sent as it is packed. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const { number } = await params;
  try {
    const parcel = await parcelOf(number);
    return new Response(Readable.toWeb(packJob(parcel)) as ReadableStream, {
      headers: {
        "content-type": "application/zip",
        "content-disposition": `attachment; filename="${parcel.file.job?.number ?? "job"}.demontage.zip"`,
      },
    });
  } catch (e) {
    if (e instanceof Fault) return Response.json({ says: e.says }, { status: 404 });
    throw e;
  }
}
