import { scaleCardPdf } from "@/exchange/scale-card-pdf";

/** The printed scale card, at true size. */
export async function GET(): Promise<Response> {
  return new Response(new Uint8Array(await scaleCardPdf()), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": 'inline; filename="scale-card.pdf"',
    },
  });
}
