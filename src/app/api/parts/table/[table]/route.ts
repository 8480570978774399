import { Readable } from "node:stream";
import { greasesTable } from "@/core/grease/grease-row";
import { offersTable, partsTable, suppliersTable } from "@/core/match/catalogue/catalogue-row";
import { standardSet } from "@/core/match/catalogue/standard-set";
import { TABLE_NAMES, type TableName } from "@/core/table/cells";
import { csvLines } from "@/exchange/csv";
import { inPieces } from "@/exchange/in-pieces";
import { everyPart } from "@/store/catalogue";
import { allSuppliers, everyOffer } from "@/store/offers";
import { wholeShelf } from "@/store/shelf";

const LINES: Readonly<Record<TableName, () => Promise<AsyncIterable<string> | Iterable<string>>>> = {
  parts: async () => csvLines(partsTable, everyPart()),
  offers: async () => csvLines(offersTable, everyOffer()),
  suppliers: async () => csvLines(suppliersTable, await allSuppliers()),
  greases: async () =>
    csvLines(
      greasesTable,
      (await wholeShelf()).map(({ id: _id, ...grease }) => grease),
    ),
};

/**
 * A whole table as CSV: parts, offers, suppliers or greases; or the standard set, which is a table of parts
 * that a shop may take in.
 */
export async function GET(_: Request, { params }: { params: Promise<{ table: string }> }): Promise<Response> {
  const { table } = await params;
  const known = TABLE_NAMES.find((t) => t === table);
  const lines = known
    ? await LINES[known]()
    : table === "standard"
      ? csvLines(partsTable, standardSet())
      : undefined;
  if (!lines) return Response.json({ says: "There is no such table." }, { status: 404 });
  const text = Readable.toWeb(Readable.from(inPieces(lines))) as ReadableStream<string>;
  return new Response(text.pipeThrough(new TextEncoderStream()), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${table}.csv"`,
    },
  });
}
