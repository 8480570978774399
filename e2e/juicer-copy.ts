import { execFileSync } from "node:child_process";
import { join } from "node:path";

export const cli = (...words: string[]): string =>
  execFileSync(join("node_modules", ".bin", "tsx"), ["src/cli/main.ts", ...words], {
    encoding: "utf8",
    env: { ...process.env, DEMONTAGE_DATA: process.env.DEMONTAGE_E2E_DATA ?? "data/e2e" },
  });

/** One of the demo's jobs under a number of its own, so that what is done to it here is nobody else's. */
export function copyOf(job: string): string {
  const { file } = JSON.parse(cli("job", "export", job, "--out", `test-results/${job}.zip`)) as { file: string };
  return (JSON.parse(cli("job", "import", file, "--as-new")) as { number: string }).number;
}

/** The demo's juicer at Judge. */
export const juicerCopy = (): string => copyOf("J-0142");
