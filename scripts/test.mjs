// npm test: installs if needed, then format and lint, types, import rules, unit tests, build, end-to-end tests.
// Ends with one line, "N passed, N failed", over all of them.
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { build, install, root, run } from "./set-up.mjs";

let passed = 0;
let failed = 0;
function count(what, ok) {
  if (ok) passed++;
  else failed++;
  console.log(`${ok ? "ok" : "FAILED"}: ${what}`);
}
const report = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : null);

/** Chromium for the end-to-end tests: there already, or from Debian's packages where apt can be used. */
function chromium() {
  for (const place of [process.env.CHROMIUM, "/usr/bin/chromium", "/usr/bin/chromium-browser", "/usr/bin/google-chrome"])
    if (place && existsSync(place)) return place;
  if (process.getuid?.() === 0 && spawnSync("apt-get", ["--version"]).status === 0) {
    console.log("Installing Chromium from Debian's packages …");
    spawnSync("apt-get", ["update", "-qq"], { stdio: "inherit" });
    spawnSync("apt-get", ["install", "-y", "-qq", "--no-install-recommends", "chromium"], {
      stdio: ["ignore", "ignore", "inherit"],
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
    if (existsSync("/usr/bin/chromium")) return "/usr/bin/chromium";
  }
  return null;
}

install();
mkdirSync(join(root, "test-results"), { recursive: true });
count("format and lint", run("biome", ["check", "--error-on-warnings", "."]).status === 0);
count("types", run("next", ["typegen"], { capture: true }).status === 0 && run("tsc", ["--noEmit"]).status === 0);
count("import rules", run("depcruise", ["--config", ".dependency-cruiser.cjs", "src", "demo", "e2e", "bench"]).status === 0);

const unitReport = join(root, "test-results", "unit.json");
rmSync(unitReport, { force: true });
run("vitest", ["run", "--reporter=default", "--reporter=json", `--outputFile.json=${unitReport}`]);
const unit = report(unitReport);
if (unit) {
  passed += unit.numPassedTests;
  failed += unit.numFailedTests;
  if (!unit.success && !unit.numFailedTests) count("unit tests start", false);
} else count("unit tests start", false);

build({ typesChecked: true });
const browser = chromium();
if (!browser) {
  console.error("The end-to-end tests need Chromium: apt-get install chromium, or name one in the variable CHROMIUM.");
  count("end-to-end tests start", false);
} else {
  rmSync(join(root, "data", "e2e"), { recursive: true, force: true });
  const e2eReport = join(root, "test-results", "e2e.json");
  rmSync(e2eReport, { force: true });
  run("playwright", ["test"], { env: { CHROMIUM: browser } });
  const e2e = report(e2eReport)?.stats;
  if (e2e) {
    passed += e2e.expected + e2e.flaky;
    failed += e2e.unexpected;
    if (e2e.expected + e2e.flaky + e2e.unexpected === 0) count("end-to-end tests start", false);
  } else count("end-to-end tests start", false);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
