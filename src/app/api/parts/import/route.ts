import type { ReadableStream } from "node:stream/web";
import { fromElsewhere } from "@/app/api/same-site";
import { Fault } from "@/core/fault";
import { keepUpload } from "@/shop/parts/uploaded-table";

/** Keeps a table that is sent as the body, to be looked through. Answers its `id`. */
export async function POST(request: Request): Promise<Response> {
  const refused = fromElsewhere(request);
  if (refused) return refused;
  try {
    const length = request.headers.get("content-length");
    const said = length === null ? undefined : Number(length);
    if (!request.body) throw new Fault("file", "is empty");
    return Response.json({ id: await keepUpload(request.body as unknown as ReadableStream<Uint8Array>, said) });
  } catch (e) {
    if (e instanceof Fault) return Response.json({ says: `The file ${e.says}.` }, { status: 422 });
    throw e;
  }
}
