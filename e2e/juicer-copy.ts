import { execFileSync } from "node:child_process";
import { join } from "node:path";

export const cli = (...words: string[]): string =>
  execFileSync(join("node_modules", ".bin", "tsx"), ["src/cli/main.ts", ...words], {
    encoding: "utf8",
    env: { ...process.env, DEMONTAGE_DATA: process.env.DEMONTAGE_E2E_DATA ?? "data/e2e" },
  });

/** The demo's juicer under a number of its own, so that what is done to it here is nobody else's. */
export function juicerCopy(): string {
  const { file } = JSON.parse(cli("job", "export", "J-0142", "--out", "test-results/juicer.zip")) as { file: string };
  return (JSON.parse(cli("job", "import", file, "--as-new")) as { number: string }).number;
}
