import { Fault } from "@/core/fault";

/** More than any form at the door has. */
const MOST_BYTES = 4096;

/**
 * The JSON of a small form, from somebody who may be anybody: no more of it is read than there can be. Throws
 * a Fault for more, and for what is no JSON.
 */
export async function smallJson(request: Request): Promise<unknown> {
  let text = "";
  const decoder = new TextDecoder();
  for await (const piece of (request.body ?? []) as unknown as AsyncIterable<Uint8Array>) {
    text += decoder.decode(piece, { stream: true });
    if (text.length > MOST_BYTES) throw new Fault("", "this is more than is asked for");
  }
  try {
    return JSON.parse(text);
  } catch {
    throw new Fault("", "this is no answer to what was asked");
  }
}
