import { readPicture } from "@/store/pictures";

/** A picture by the hash of its bytes; such an address never changes what it shows. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ sha256: string }> },
): Promise<Response> {
  const found = await readPicture((await params).sha256, new URL(request.url).searchParams.has("thumb"));
  if (!found) return new Response("There is no such picture.", { status: 404 });
  return new Response(new Uint8Array(found.bytes), {
    headers: {
      "content-type": found.type,
      "cache-control": "private, max-age=31536000, immutable",
      "x-content-type-options": "nosniff",
    },
  });
}
