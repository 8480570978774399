/** A ref for a field that a key has just asked for: it takes the focus as it appears. */
export const focusNow = (field: HTMLElement | null): void => field?.focus();
