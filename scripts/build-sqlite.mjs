// Compiles the SQLite binding from the source that the npm package ships.
//
// The package's own install script would first try to fetch a ready-made binary from a release page. Nothing
// here may be fetched from outside the registries, so that script is refused in package.json (`allowScripts`)
// and this one, run after every install, compiles instead. It takes a minute or two, once; nothing if the
// binding already loads.
import { spawnSync } from "node:child_process";
import { createRequire } from "node:module";
import { dirname } from "node:path";

const require = createRequire(import.meta.url);

const folder = dirname(require.resolve("better-sqlite3/package.json"));
const probe = `new (require(${JSON.stringify(folder)}))(":memory:").close()`;

function loads() {
  return spawnSync(process.execPath, ["-e", probe], { stdio: "ignore" }).status === 0;
}

// npm test compiles it beside the checks that do not need it
if (process.env.DEMONTAGE_SQLITE !== "later" && !loads()) {
  console.log("Compiling SQLite from source, a minute or two, once …");
  // at SQLite's own -O2, not the package's -O3: that takes half as long again and is not felt
  const flags = (name) => `${process.env[name] ?? ""} -O2`;
  const env = { JOBS: "max", ...process.env, CFLAGS: flags("CFLAGS"), CXXFLAGS: flags("CXXFLAGS") };
  const run = spawnSync("node-gyp", ["rebuild", "--release"], {
    cwd: folder,
    env,
    encoding: "utf8",
    maxBuffer: 1 << 26,
  });
  if (run.status !== 0 || !loads()) {
    console.error(run.error?.message ?? "");
    console.error((run.stdout ?? "").slice(-3000), (run.stderr ?? "").slice(-6000));
    console.error(
      "SQLite could not be compiled. It needs python3, make and a C++ compiler (Debian: apt-get install python3 make g++).",
    );
    process.exit(1);
  }
}
