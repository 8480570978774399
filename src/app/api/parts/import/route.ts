import type { ReadableStream } from "node:stream/web";
import { changing } from "@/app/api/changing";
import { Fault } from "@/core/fault";
import { keepUpload } from "@/shop/parts/uploaded-table";

/** Keeps a table that is sent as the body, to be looked through. Answers its `id`. */
export async function POST(request: Request): Promise<Response> {
  return changing(request, "bench", async () => {
    try {
      const length = request.headers.get("content-length");
      if (!request.body) throw new Fault("file", "is empty");
      return Response.json({
        id: await keepUpload(
          request.body as unknown as ReadableStream<Uint8Array>,
          length === null ? undefined : Number(length),
        ),
      });
    } catch (e) {
      if (e instanceof Fault) return Response.json({ says: `The file ${e.says}.` }, { status: 422 });
      throw e;
    }
  });
}
