import { Fault } from "@/core/fault";
import type { Told } from "./import-report";

/** Answers a request a line of JSON at a time, so that the screen can show how far it is. */
export function toldByLine<T>(work: (tell: (rows: number) => void) => Promise<T>): Response {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async start(out) {
      let gone = false;
      const line = (told: Told<T>): void => {
        try {
          if (!gone) out.enqueue(encoder.encode(`${JSON.stringify(told)}\n`));
        } catch {
          // the screen has gone elsewhere; the work is brought to its end all the same
          gone = true;
        }
      };
      try {
        line({ done: await work((rows) => line({ rows })) });
      } catch (e) {
        if (!(e instanceof Fault)) console.error(e);
        line(
          e instanceof Fault
            ? { path: e.path, says: e.says }
            : {
                path: "",
                says: "Something went wrong in the shop’s computer. Look at the list of what was taken in before you try again.",
              },
        );
      }
      if (!gone) out.close();
    },
  });
  return new Response(body, {
    headers: { "content-type": "application/x-ndjson", "cache-control": "no-store" },
  });
}
