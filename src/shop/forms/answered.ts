import { revalidatePath } from "next/cache";
import { Fault } from "@/core/fault";
import { capital } from "@/core/sentence";

/** What the row is known by now that a form was taken; or where it was wrong, and what about it. */
export type FormAnswer = { readonly ok: true; readonly key: string } | { readonly ok: false; readonly field: string; readonly says: string };

/** The way of every form of the shop: do it, show it everywhere, say what was wrong. @param work answers what the row is known by */
export async function answered(work: () => Promise<string>): Promise<FormAnswer> {
  try {
    const key = await work();
    revalidatePath("/", "layout");
    return { ok: true, key };
  } catch (e) {
    if (e instanceof Fault) return { ok: false, field: e.path, says: `${capital(e.says)}.` };
    throw e;
  }
}
