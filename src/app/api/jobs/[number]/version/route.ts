import { jobVersion } from "@/store/jobs";

/** The version a job stands at, for screens that look whether somebody else was here. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const version = await jobVersion((await params).number);
  return version === null
    ? new Response(null, { status: 404 })
    : Response.json({ version }, { headers: { "cache-control": "no-store" } });
}
