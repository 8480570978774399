import { z } from "zod";
import type { Frozen } from "@/core/frozen";

/** What is to be done with a table that was sent: looked through, or taken in under a name. */
export const tableWork = z.strictObject({
  what: z.enum(["look", "take in"]),
  path: z.string(),
  name: z.string(),
  delimiter: z.string().optional(),
});
export type TableWork = Frozen<z.infer<typeof tableWork>>;
