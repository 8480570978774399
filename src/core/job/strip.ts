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
  /**
   * steps in the order in which somebody wants them back, as far as the laws allow; left out: the reverse of
   * the strip
   */
  readonly ownOrder?: readonly string[] | undefined;
}
