import { partNumbered } from "@/shop/parts/about-part";

/** Everything about one part: `?number=`. */
export async function GET(request: Request): Promise<Response> {
  const about = await partNumbered(new URL(request.url).searchParams.get("number") ?? "");
  return about
    ? Response.json(about, { headers: { "cache-control": "no-store" } })
    : Response.json({ says: "There is no such part." }, { status: 404 });
}
