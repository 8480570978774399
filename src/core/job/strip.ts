import type { GoingIn } from "./going-in";
import type { Part } from "./part";
import type { LubePoint, Service } from "./service";
import type { StripStep } from "./step";

/** Everything that a rebuild plan is worked out from. */
export interface Strip {
  readonly parts: readonly Part[];
  readonly steps: readonly StripStep[];
  readonly services: readonly Service[];
  readonly lubePoints: readonly LubePoint[];
  /** what goes in in a part's place, made up otherwise than what came out */
  readonly goingIn?: readonly GoingIn[];
}
