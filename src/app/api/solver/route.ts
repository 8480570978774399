import { readFile } from "node:fs/promises";
import { join } from "node:path";

/** The solver of the basket, as WebAssembly: it comes with the program and runs in the browser. */
export async function GET(): Promise<Response> {
  const bytes = await readFile(join(process.cwd(), "node_modules", "highs", "build", "highs.wasm"));
  return new Response(new Uint8Array(bytes), {
    headers: { "content-type": "application/wasm", "cache-control": "public, max-age=86400" },
  });
}
