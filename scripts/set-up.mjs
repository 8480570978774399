// What the commands share: running a step, installing when needed, building when needed.
import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

export const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const quiet = { NEXT_TELEMETRY_DISABLED: "1" };

/** Runs a command in the project's folder; `npx`-style names come from node_modules/.bin. */
export function run(command, args, { env = {}, capture = false } = {}) {
  const path = `${join(root, "node_modules", ".bin")}:${process.env.PATH}`;
  return spawnSync(command, args, {
    cwd: root,
    stdio: capture ? ["ignore", "pipe", "inherit"] : "inherit",
    encoding: "utf8",
    maxBuffer: 1 << 28,
    env: { ...process.env, ...quiet, PATH: path, ...env },
  });
}

/** Runs a step that the rest cannot do without. */
export function must(what, command, args, options) {
  const done = run(command, args, options);
  if (done.status !== 0) {
    console.error(`\n${what} failed.`);
    process.exit(done.status ?? 1);
  }
}

const digest = (text) => createHash("sha256").update(text).digest("hex");

const binding = join(root, "node_modules", "better-sqlite3", "build", "Release", "better_sqlite3.node");

/**
 * Installs what package-lock.json names, unless that was done already. `sqliteLater`: the caller sees to the
 * SQLite binding itself.
 */
export function install({ sqliteLater = false } = {}) {
  const stamp = join(root, "node_modules", ".installed");
  const wanted = digest(readFileSync(join(root, "package-lock.json")));
  if (!existsSync(stamp) || readFileSync(stamp, "utf8") !== wanted) {
    console.log("Installing …");
    must("The installation", "npm", ["ci", "--no-audit", "--no-fund"], {
      env: sqliteLater ? { DEMONTAGE_SQLITE: "later" } : {},
    });
    writeFileSync(stamp, wanted);
  }
  if (!sqliteLater && !existsSync(binding)) must("Compiling SQLite", "npm", ["run", "-s", "postinstall"]);
}

/** Begins a step and goes on; the promise says whether it went well. What it prints comes when it is over. */
export function begin(command, args, env = {}) {
  const path = `${join(root, "node_modules", ".bin")}:${process.env.PATH}`;
  return new Promise((done) => {
    let told = "";
    const child = spawn(command, args, {
      cwd: root,
      stdio: ["ignore", "pipe", "pipe"],
      env: { ...process.env, ...quiet, PATH: path, ...env },
    });
    child.stdout.on("data", (d) => (told += d));
    child.stderr.on("data", (d) => (told += d));
    child.on("error", (e) => done({ ok: false, told: String(e) }));
    child.on("close", (code) => done({ ok: code === 0, told }));
  });
}

function sourceStamp(folder) {
  const parts = [];
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) =>
    a.name < b.name ? -1 : 1,
  )) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) parts.push(sourceStamp(path));
    else if (!/\.test\.tsx?$/.test(entry.name))
      parts.push(`${path}:${statSync(path).size}:${digest(readFileSync(path))}`);
  }
  return parts.join("\n");
}

/**
 * Builds the application, unless this source is built already. `typesChecked`: the caller has done so, the
 * build need not.
 */
export function build({ typesChecked = false } = {}) {
  const stamp = join(root, ".next", "built-from");
  const wanted = digest(
    sourceStamp(join(root, "src")) +
      ["package-lock.json", "next.config.ts", "tsconfig.json"]
        .map((f) => readFileSync(join(root, f), "utf8"))
        .join("\n"),
  );
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  console.log("Building …");
  must("The build", "next", ["build"], { env: typesChecked ? { DEMONTAGE_TYPES_CHECKED: "1" } : {} });
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, wanted);
}
