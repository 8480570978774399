import { revalidatePath } from "next/cache";
import type { Role } from "@/core/door/role";
import { Fault } from "@/core/fault";
import { sentence } from "@/core/sentence";
import { asWhoMay } from "@/door/who";
import { notDone, troubleIn } from "@/store/trouble";

/** What the row is known by now that a form was taken; or where it was wrong, and what about it. */
export type FormAnswer =
  | { readonly ok: true; readonly key: string }
  | { readonly ok: false; readonly field: string; readonly says: string };

/**
 * The way of one thing that is set: do it, show it everywhere. Answers what was wrong with it; null: it is
 * set.
 *
 * @param needs who may do it
 */
export async function setting(needs: Role, work: () => Promise<void>): Promise<string | null> {
  const answer = await answered(needs, async () => {
    await work();
    return "";
  });
  return answer.ok ? null : answer.says;
}

/**
 * The way of every form of the shop: do it, show it everywhere, say what was wrong.
 *
 * @param work answers what the row is known by
 */
export async function answered(needs: Role, work: () => Promise<string>): Promise<FormAnswer> {
  try {
    const key = await asWhoMay(needs, work);
    revalidatePath("/", "layout");
    return { ok: true, key };
  } catch (e) {
    if (e instanceof Fault) return { ok: false, field: e.path, says: sentence(e.says) };
    const trouble = troubleIn(e);
    if (trouble) return { ok: false, field: "", says: notDone("Not saved", trouble) };
    throw e;
  }
}
