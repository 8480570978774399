import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { browserHere } from "./browser.mjs";

/**
 * A production server of the built application on a data folder of its own; for pictures and measurements.
 */
export async function serveBuilt(
  port: number,
  data: string,
  more: readonly string[] = [],
): Promise<ChildProcess> {
  const server = spawn(process.execPath, ["scripts/serve.mjs", "--port", String(port), ...more], {
    // as `npm start` does
    env: { MALLOC_ARENA_MAX: "2", ...process.env, DEMONTAGE_DATA: data, NEXT_TELEMETRY_DISABLED: "1" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  for await (const text of server.stdout as NodeJS.ReadableStream) if (/Ready/i.test(String(text))) break;
  return server;
}

export async function stop(server: ChildProcess): Promise<void> {
  const gone = once(server, "exit");
  server.kill("SIGTERM");
  await gone;
}

/** How Debian's Chromium is started here and in the tests. */
export const CHROMIUM = {
  executablePath: browserHere() ?? "/usr/bin/chromium",
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};
