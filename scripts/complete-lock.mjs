// Completes package-lock.json with the platform packages that the registry at hand does not carry.
//
// Packages with native parts name one optional package a platform. `npm ci` wants an entry for each of them
// in the lock file, also for those that
// are never installed here; a registry that does not serve the others leaves them out when the lock file is
// written. Their versions are
// pinned by the package that names them, so the entries can be written down: name, version, platform. Run it
// after `npm install` changed the lock file.
import { readFileSync, writeFileSync } from "node:fs";

const place = new URL("../package-lock.json", import.meta.url);
const lock = JSON.parse(readFileSync(place, "utf8"));
const OS = ["android", "darwin", "freebsd", "linux", "win32"];
const CPU = ["arm64", "x64", "arm", "ia32", "riscv64", "wasm32"];

let added = 0;
for (const entry of Object.values(lock.packages))
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const key = `node_modules/${name}`;
    const words = name.split(/[-/]/);
    const cpu = CPU.filter((c) => words.includes(c));
    if (lock.packages[key] || !/^\d/.test(version) || cpu.length === 0) continue;
    const os = OS.filter((o) => words.includes(o));
    const libc = words.includes("musl") ? ["musl"] : words.includes("gnu") ? ["glibc"] : undefined;
    lock.packages[key] = {
      version,
      cpu,
      ...(entry.dev ? { dev: true } : {}),
      ...(libc ? { libc } : {}),
      optional: true,
      ...(os.length ? { os } : {}),
    };
    added++;
  }
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync(place, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} platform packages added`);
