import { reportPdf } from "@/exchange/report-pdf";
import { returnSheet, sheetForm } from "@/stages/hand-back/return-sheet-view";
import { printedPicture } from "@/store/pictures";

/**
 * The return sheet as a PDF. `form=short` leaves the annex out, `units=inch` writes ounces, inches and °F.
 */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const { number } = await params;
  const asked = new URL(request.url).searchParams;
  const report = await returnSheet(
    number,
    await sheetForm({ form: asked.get("form") ?? undefined, units: asked.get("units") ?? undefined }),
  );
  if (!report) return Response.json({ says: "There is no such job." }, { status: 404 });
  return new Response(new Uint8Array(await reportPdf(report, printedPicture)), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(`Return sheet ${number}.pdf`)}`,
      "x-content-type-options": "nosniff",
    },
  });
}
