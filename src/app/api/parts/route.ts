import { searchParts } from "@/store/catalogue";

/** Parts as somebody types: `?q=`. */
export async function GET(request: Request): Promise<Response> {
  const typed = new URL(request.url).searchParams.get("q") ?? "";
  return Response.json(await searchParts(typed.slice(0, 120)), { headers: { "cache-control": "no-store" } });
}
