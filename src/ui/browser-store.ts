/**
 * The browser's own store, which may be full, shut or written to by something else: none of that stops a
 * screen.
 */

export function keepInBrowser(key: string, text: string): boolean {
  try {
    localStorage.setItem(key, text);
    return true;
  } catch {
    return false;
  }
}

export function keptInBrowser(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

export function forgetInBrowser(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // what cannot be reached cannot be forgotten either
  }
}

/** What a kept text says; undefined: nothing, or no JSON. */
export function jsonFrom(text: string | null): unknown {
  if (!text) return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
