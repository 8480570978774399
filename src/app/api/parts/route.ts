import { z } from "zod";
import { searchParts } from "@/store/catalogue";

const max = z.coerce.number().int().min(1).max(1000).optional().catch(undefined);

/** Parts as somebody types: `?q=`, the first so many of them: `&max=`. */
export async function GET(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  return Response.json(
    await searchParts((asked.get("q") ?? "").slice(0, 120), max.parse(asked.get("max") ?? undefined)),
    {
      headers: { "cache-control": "no-store" },
    },
  );
}
