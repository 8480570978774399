/** What every answer tells the browser about what it may do. */

/**
 * Scripts run only if this program wrote them into this page.
 *
 * @param workshop the framework's own reloading while somebody works on the program needs more
 */
export const contentSecurityPolicy = (nonce: string, workshop = false): string =>
  [
    "default-src 'self'",
    // the solver is WebAssembly
    `script-src 'self' 'nonce-${nonce}' 'wasm-unsafe-eval'${workshop ? " 'unsafe-eval'" : ""}`,
    // places on the Mat are set as styles of their elements
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    `connect-src 'self'${workshop ? " ws:" : ""}`,
    "media-src 'self' blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");

export const SECURITY_HEADERS: Readonly<Record<string, string>> = {
  "x-content-type-options": "nosniff",
  "x-frame-options": "DENY",
  "referrer-policy": "no-referrer",
  "permissions-policy":
    "camera=(self), microphone=(self), geolocation=(), payment=(), usb=(), serial=(self), display-capture=()",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
};
