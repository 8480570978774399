import type { z } from "zod";
import type { Told } from "./import-report";

/** A sentence for the screen, as against a failure of the program. */
export class Refused extends Error {}

/**
 * Reads an answer that comes a line at a time: how far it is, then what came of it. Throws {@link Refused}
 * with what was wrong.
 */
export async function told<T>(
  answer: Response,
  line: z.ZodType<Told<T>>,
  rows: (n: number) => void,
): Promise<T> {
  if (!answer.body || !answer.ok) throw new Refused(await refusal(answer));
  const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  for (;;) {
    const { value, done } = await reader.read();
    rest += value ?? "";
    const lines = rest.split("\n");
    rest = lines.pop() ?? "";
    for (const text of lines) {
      const t = line.parse(JSON.parse(text));
      if ("done" in t) return t.done;
      if ("says" in t) throw new Refused(t.path === "file" ? `The file ${t.says}.` : t.says);
      rows(t.rows);
    }
    if (done) throw new Refused("The answer was broken off. Look at the list before you try again.");
  }
}

const refusal = async (answer: Response): Promise<string> => {
  const body: unknown = await answer.json().catch(() => null);
  return typeof body === "object" && body !== null && "says" in body
    ? String(body.says)
    : "No answer came. Try again.";
};
