import { cellLines } from "@/exchange/csv";
import { recordTables } from "@/shop/record/record-tables";
import { pastJobs } from "@/store/past-jobs";
import { shopSettings } from "@/store/settings";

/** A table of the record as CSV. */
export async function GET(_: Request, { params }: { params: Promise<{ table: string }> }): Promise<Response> {
  const { table } = await params;
  const { learnedSince } = await shopSettings();
  const found = recordTables(await pastJobs(), learnedSince).find((t) => t.table === table);
  if (!found) return Response.json({ says: "There is no such table." }, { status: 404 });
  return new Response(cellLines([found.head, ...found.rows]), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${table}.csv"`,
    },
  });
}
