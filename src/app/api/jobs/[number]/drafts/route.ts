import { z } from "zod";
import { changing } from "@/app/api/changing";
import { readWith } from "@/core/fault";
import { saveDraft } from "@/store/drafts";
import { jsonFrom } from "@/ui/browser-store";

/** What is typed and not laid down; null: nothing any more. */
const draftSent = z.object({ field: z.string().min(1).max(60), value: z.unknown() });

const MOST_CHARACTERS = 100_000;

/** Keeps what is typed but not laid down. It has no version: it belongs to the screen. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ number: string }> },
): Promise<Response> {
  const { number } = await params;
  return changing(request, "desk", async () => {
    const text = await request.text();
    if (text.length > MOST_CHARACTERS)
      return Response.json({ says: "That is more than a field can hold." }, { status: 413 });
    const { field, value } = readWith(draftSent, jsonFrom(text));
    await saveDraft(number, field, value ?? null);
    return new Response(null, { status: 204 });
  });
}
