// Which browser the tests, pictures and measurements drive. The headless shell of Debian's Chromium is the
// same engine without
// a browser's own windows, which cost a sixth of the time of a run.
import { existsSync } from "node:fs";

export const SHELL = "/usr/bin/chromium-headless-shell";
const places = [SHELL, "/usr/bin/chromium", "/usr/bin/chromium-browser", "/usr/bin/google-chrome"];

/**
 * The browser to drive: the one named in the variable CHROMIUM, or the first that is on this machine; null
 * where none is.
 */
export const browserHere = () =>
  [process.env.CHROMIUM, ...places].find((place) => place && existsSync(place)) ?? null;
