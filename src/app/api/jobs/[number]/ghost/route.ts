import { ghostFor } from "@/stages/strip/ghost-for";

/** The strip of the last unit of the model, which the next one is held against. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const ghost = await ghostFor((await params).number);
  return ghost
    ? Response.json(ghost, { headers: { "cache-control": "no-store" } })
    : Response.json({ says: "No other unit of this model was taken apart here." }, { status: 404 });
}
