import type { MouseEvent } from "react";

/**
 * After a press by hand the button gives the focus back, so that the pedal's Space stays the main action's.
 */
export function letGo(e: MouseEvent<HTMLElement>): void {
  if (e.detail > 0) e.currentTarget.blur();
}
