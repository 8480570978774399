import { glyphSprite } from "@/ui/glyph-paths";

export const dynamic = "force-static";

/** Every glyph of the application, drawn once. */
export function GET(): Response {
  return new Response(glyphSprite(), { headers: { "content-type": "image/svg+xml" } });
}
