import { z } from "zod";
import type { Frozen } from "../../frozen";
import { cataloguePart } from "./catalogue-part";

/** The best of what was found in the catalogue, and how many there are in all. */
export const foundParts = z.strictObject({ parts: z.array(cataloguePart), total: z.int() });
export type FoundParts = Frozen<z.infer<typeof foundParts>>;
