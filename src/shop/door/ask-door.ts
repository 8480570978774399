import { z } from "zod";
import { whatFailed } from "@/ui/ask-shop";

const answered = z.object({ path: z.string().optional(), says: z.string().optional() });

/** Says something at the shop's door. Answers the sentence with which it was refused; null: it was not. */
export async function askDoor(
  path: string,
  method: "POST" | "DELETE",
  said?: unknown,
): Promise<string | null> {
  try {
    const answer = await fetch(path, {
      method,
      headers: { "content-type": "application/json" },
      ...(said === undefined ? {} : { body: JSON.stringify(said) }),
    });
    const read = answered.parse(await answer.json());
    return answer.ok ? null : (read.says ?? "Refused.");
  } catch (e) {
    return whatFailed(e, "Not done", "Try again.");
  }
}
