import { stepsToAddToView } from "@/stages/judge/steps-to-add-to-view";

/** The steps that a part which is added at Judge can go back with. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const steps = await stepsToAddToView((await params).number);
  return steps
    ? Response.json(steps, { headers: { "cache-control": "no-store" } })
    : Response.json({ says: "There is no such job." }, { status: 404 });
}
