/**
 * Waits with a change of the layout until the finger is off the screen.
 *
 * Leaving a field by pressing a key elsewhere takes its fault away; done at once, the line closes up, the key
 * moves from under the finger between
 * press and release, and the browser sees no click at all.
 */
let pressed = false;

if (typeof window !== "undefined") {
  window.addEventListener("pointerdown", () => (pressed = true), true);
  for (const end of ["pointerup", "pointercancel"])
    window.addEventListener(end, () => (pressed = false), true);
}

/**
 * Does `change` now, or, while a finger or a mouse button is down, right after the click that its release
 * makes.
 */
export function whenReleased(change: () => void): void {
  if (!pressed) {
    change();
    return;
  }
  const release = (): void => {
    for (const end of ["pointerup", "pointercancel"]) window.removeEventListener(end, release);
    setTimeout(change, 0);
  };
  for (const end of ["pointerup", "pointercancel"]) window.addEventListener(end, release);
}
