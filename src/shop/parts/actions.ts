"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { Fault, readWith } from "@/core/fault";
import { asWhoMay } from "@/door/who";
import { undoImport } from "@/store/imports";

export type TakenBack =
  | { readonly ok: true; readonly back: number; readonly stayed: number }
  | { readonly ok: false; readonly says: string };

/** Takes the last import back. */
export async function takeImportBack(id: number): Promise<TakenBack> {
  try {
    const done = await asWhoMay("bench", () => undoImport(readWith(z.int(), id)));
    revalidatePath("/parts", "layout");
    return { ok: true, ...done };
  } catch (e) {
    if (e instanceof Fault) return { ok: false, says: e.message };
    throw e;
  }
}
