import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";

const folder = join(process.cwd(), "demo", "pictures", "jpeg");

/**
 * What lies under the practice camera: of the demo's photographs the one whose name shares most words with
 * the subject.
 */
export async function GET(request: Request): Promise<Response> {
  const words =
    (new URL(request.url).searchParams.get("subject") ?? "").toLowerCase().match(/[a-z0-9]+/g) ?? [];
  const names = await readdir(folder).catch(() => []);
  const likeness = (name: string): number =>
    words.reduce((n, w) => n + (w.length > 2 && name.includes(w) ? w.length : 0), 0);
  const best = names
    .filter((n) => n.endsWith(".jpg"))
    .sort((a, b) => likeness(b) - likeness(a) || (a < b ? -1 : 1))[0];
  if (!best) return new Response("There are no practice pictures here.", { status: 404 });
  return new Response(new Uint8Array(await readFile(join(folder, best))), {
    headers: { "content-type": "image/jpeg" },
  });
}
