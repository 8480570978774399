"use server";

import { z } from "zod";
import { Fault, readWith } from "@/core/fault";
import { ASSEMBLY_MOMENTS, JOINTS } from "@/core/job/assembly";
import { note, words } from "@/core/job/written";
import { ownAssemblies, saveOwnAssembly, strikeOwnAssembly } from "@/store/assemblies";
import { setting } from "../forms/answered";

const input = z.strictObject({
  says: words.trim().min(3, "say what goes together there"),
  joints: z.array(z.enum(JOINTS)).min(1, "say by what it is told: one at least").max(JOINTS.length),
  act: z.enum(["look", "mind"]),
  moment: z.enum(ASSEMBLY_MOMENTS),
  asks: note.min(3, "say it in a sentence"),
  ifNot: note,
  because: note,
});
export type OwnAssembly = z.infer<typeof input>;

/** @example idOf("Sump half, our jig") // "shop-sump-half-our-jig" */
const idOf = (says: string): string =>
  `shop-${
    says
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "")
      .slice(0, 40) || "own"
  }`;

/**
 * Writes down one thing that the shop knows of how something goes together; under a name that is there already it is
 * one more line of that. Answers what was wrong; null: it is kept.
 */
export async function keepAssembly(raw: OwnAssembly): Promise<string | null> {
  return setting("bench", async () => {
    const { says, joints, act, moment, asks, ifNot, because } = readWith(input, raw);
    const id = idOf(says);
    const before = (await ownAssemblies()).find((a) => a.id === id)?.adds ?? [];
    if (act === "look" && ifNot.length < 3)
      throw new Fault("ifNot", "say what is done where the answer is no");
    const add =
      act === "look"
        ? { act, moment, key: `${id}-${before.length + 1}`, asks, ifNot, because: because || says }
        : { act, moment, says: asks, ...(because && { because }) };
    await saveOwnAssembly({ id, says, when: { joints }, adds: [...before, add], source: "this shop" });
  });
}

const strikeInput = z.strictObject({ id: words });
/** Strikes one of the shop's own. */
export async function strikeAssemblyOfShop(raw: z.infer<typeof strikeInput>): Promise<string | null> {
  return setting("bench", async () => strikeOwnAssembly(readWith(strikeInput, raw).id));
}
