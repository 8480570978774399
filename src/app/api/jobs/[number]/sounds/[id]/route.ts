import { soundBytes } from "@/store/sounds";

/** A recording as a WAV file. One that is kept is never changed. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ number: string; id: string }> },
): Promise<Response> {
  const { number, id } = await params;
  const wav = /^\d{1,15}$/.test(id) ? await soundBytes(number, Number(id)) : null;
  if (!wav) return Response.json({ says: "There is no such recording." }, { status: 404 });
  return new Response(new Uint8Array(wav), {
    headers: {
      "content-type": "audio/wav",
      "cache-control": "private, max-age=31536000, immutable",
      "x-content-type-options": "nosniff",
    },
  });
}
