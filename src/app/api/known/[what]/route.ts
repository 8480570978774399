import { KNOWN_WORDS, knownWords } from "@/store/counter";

/** What the shop has heard before, as somebody types: `?q=`, and `?maker=` for models. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ what: string }> },
): Promise<Response> {
  const asked = await params;
  const what = KNOWN_WORDS.find((k) => k === asked.what);
  if (!what) return Response.json({ says: "There is no such list." }, { status: 404 });
  const search = new URL(request.url).searchParams;
  const words = await knownWords(
    what,
    (search.get("q") ?? "").slice(0, 80),
    (search.get("maker") ?? "").slice(0, 80),
  );
  return Response.json(words, { headers: { "cache-control": "no-store" } });
}
