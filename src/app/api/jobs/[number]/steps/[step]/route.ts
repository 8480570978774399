import { fromAddress } from "@/core/job/address";
import { laidStepOf } from "@/stages/strip/strip-view";

/** One step as it lies on the Mat, to be edited. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ number: string; step: string }> },
): Promise<Response> {
  const { number, step } = await params;
  const laid = await laidStepOf(number, fromAddress(step));
  return laid
    ? Response.json(laid, { headers: { "cache-control": "no-store" } })
    : Response.json({ says: "There is no such step." }, { status: 404 });
}
