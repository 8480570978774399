// npm test: installs if needed, then format and lint, types, import rules, build, unit tests, end-to-end
// tests.
// Ends with one line, "N passed, N failed", over all of them.
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { browserHere, SHELL } from "./browser.mjs";
import { begin, build, install, root, run } from "./set-up.mjs";

let passed = 0;
let failed = 0;
function count(what, ok) {
  if (ok) passed++;
  else failed++;
  console.log(`${ok ? "ok" : "FAILED"}: ${what}`);
}
const report = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : null);

/** The browser for the end-to-end tests, from Debian's packages where apt can be used and it is not there. */
async function installBrowser() {
  const can = process.getuid?.() === 0 && spawnSync("apt-get", ["--version"]).status === 0;
  if (process.env.CHROMIUM || existsSync(SHELL) || !can) return { ok: true, told: "" };
  const got = async (name) =>
    begin("apt-get", ["install", "-y", "-qq", "--no-install-recommends", name], {
      DEBIAN_FRONTEND: "noninteractive",
    });
  await begin("apt-get", ["update", "-qq"]);
  const shell = await got("chromium-headless-shell");
  return shell.ok || browserHere() ? { ok: true, told: "" } : got("chromium");
}

// the checks of the source, and the build, need neither SQLite nor a browser: those come meanwhile
install({ sqliteLater: true });
const sqlite = begin("npm", ["run", "-s", "postinstall"]);
const browserComing = installBrowser();
mkdirSync(join(root, "test-results"), { recursive: true });
const check = async (what, ...steps) => {
  let ok = true;
  for (const [command, args] of steps) {
    const done = ok ? await begin(command, args) : { ok, told: "" };
    if (!done.ok) console.error(done.told);
    ok &&= done.ok;
  }
  count(what, ok);
};
await check("format and lint", ["biome", ["check", "--error-on-warnings", "."]]);
await check("types", ["next", ["typegen"]], ["tsc", ["--noEmit"]]);
await check("import rules", [
  "depcruise",
  ["--config", ".dependency-cruiser.cjs", "src", "demo", "e2e", "measure"],
]);
build({ typesChecked: true });
const compiled = await sqlite;
if (!compiled.ok) {
  console.error(compiled.told);
  process.exit(1);
}

const unitReport = join(root, "test-results", "unit.json");
rmSync(unitReport, { force: true });
run("vitest", ["run", "--reporter=default", "--reporter=json", `--outputFile.json=${unitReport}`]);
const unit = report(unitReport);
if (unit) {
  passed += unit.numPassedTests;
  failed += unit.numFailedTests;
  if (!unit.success && !unit.numFailedTests) count("unit tests start", false);
} else count("unit tests start", false);

const came = await browserComing;
if (!came.ok) console.error(came.told);
const browser = browserHere();
if (!browser) {
  console.error(
    "The end-to-end tests need Chromium: apt-get install chromium-headless-shell or chromium, or name one in the variable CHROMIUM.",
  );
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
    if (e2e.flaky)
      console.log(
        `\n${e2e.flaky} of the end-to-end tests passed at the second attempt only: see "flaky" above.`,
      );
    if (e2e.expected + e2e.flaky + e2e.unexpected === 0) count("end-to-end tests start", false);
  } else count("end-to-end tests start", false);
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed ? 1 : 0);
