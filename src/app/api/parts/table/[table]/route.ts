import { Readable } from "node:stream";
import { offersTable, partsTable, suppliersTable } from "@/core/match/catalogue/catalogue-row";
import { csvLines } from "@/exchange/csv";
import { everyPart } from "@/store/catalogue";
import { allSuppliers, everyOffer } from "@/store/offers";

/** A whole table as CSV: parts, offers or suppliers. */
export async function GET(_: Request, { params }: { params: Promise<{ table: string }> }): Promise<Response> {
  const { table } = await params;
  const lines =
    table === "parts"
      ? csvLines(partsTable, everyPart())
      : table === "offers"
        ? csvLines(offersTable, everyOffer())
        : table === "suppliers"
          ? csvLines(suppliersTable, await allSuppliers())
          : null;
  if (!lines) return Response.json({ says: "There is no such table." }, { status: 404 });
  const text = Readable.toWeb(Readable.from(lines)) as ReadableStream<string>;
  return new Response(text.pipeThrough(new TextEncoderStream()), {
    headers: { "content-type": "text/csv; charset=utf-8", "content-disposition": `attachment; filename="${table}.csv"` },
  });
}
