import type { Sign } from "./sign";
import { GEARS, TEETH } from "./signs-of-gears";
import { PARTS } from "./signs-of-parts";
import { GREASE, SYMPTOMS } from "./signs-of-the-unit";

/** All that can be seen, heard or told of a unit. */
export const SIGNS: readonly Sign[] = [...TEETH, ...GEARS, ...PARTS, ...GREASE, ...SYMPTOMS];
