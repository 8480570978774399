import { cellLines } from "@/exchange/csv";
import { recordTables } from "@/shop/record/record-tables";
import { pastJobs } from "@/store/past-jobs";

/** A table of the record as CSV. */
export async function GET(_: Request, { params }: { params: Promise<{ table: string }> }): Promise<Response> {
  const { table } = await params;
  const found = recordTables(await pastJobs()).find((t) => t.table === table);
  if (!found) return Response.json({ says: "There is no such table." }, { status: 404 });
  return new Response(cellLines([found.head, ...found.rows]), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${table}.csv"`,
    },
  });
}
