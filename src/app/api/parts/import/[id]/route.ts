import { changing } from "@/app/api/changing";
import { Fault } from "@/core/fault";
import { sentence } from "@/core/sentence";
import { onTable } from "@/shop/parts/table-thread";
import { toldByLine } from "@/shop/parts/told-by-line";
import { forgetUpload, uploadedPath } from "@/shop/parts/uploaded-table";

type Address = { params: Promise<{ id: string }> };

/** Looks a kept table through (`GET ?delimiter=`): what taking it in would do. */
export async function GET(request: Request, { params }: Address): Promise<Response> {
  const { id } = await params;
  const delimiter = new URL(request.url).searchParams.get("delimiter") ?? undefined;
  return toldByLine((tell) => onTable({ what: "look", path: uploadedPath(id), name: "", delimiter }, tell));
}

/** Takes a kept table in (`POST ?name=&delimiter=`). */
export async function POST(request: Request, { params }: Address): Promise<Response> {
  const { id } = await params;
  return changing(request, "bench", async () => {
    const asked = new URL(request.url).searchParams;
    return toldByLine(async (tell) => {
      const name = asked.get("name")?.slice(0, 120) ?? "table.csv";
      const done = await onTable(
        { what: "take in", path: uploadedPath(id), name, delimiter: asked.get("delimiter") ?? undefined },
        tell,
      );
      await forgetUpload(id);
      return done;
    });
  });
}

/** Throws a kept table away. */
export async function DELETE(request: Request, { params }: Address): Promise<Response> {
  return changing(request, "bench", async () => {
    try {
      await forgetUpload((await params).id);
      return Response.json({});
    } catch (e) {
      if (e instanceof Fault) return Response.json({ says: sentence(e.says) }, { status: 404 });
      throw e;
    }
  });
}
