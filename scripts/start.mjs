// npm start: serves the shop (serve.mjs) with little memory held back. The C library of Linux keeps a heap of
// its own for each thread that decodes pictures, and gives none of them back: after an hour of two benches
// that was half a
// gigabyte. It can only be told so before a program begins, so this one begins the other.
import { spawn } from "node:child_process";
import { join } from "node:path";
import { root } from "./set-up.mjs";

const shop = spawn(process.execPath, [join(root, "scripts/serve.mjs"), ...process.argv.slice(2)], {
  stdio: "inherit",
  env: { MALLOC_ARENA_MAX: "2", ...process.env },
});
// Ctrl+C reaches both; what is sent to this one alone is handed on
process.on("SIGINT", () => undefined);
for (const signal of ["SIGTERM", "SIGHUP"]) process.on(signal, () => shop.kill(signal));
shop.on("exit", (code) => process.exit(code ?? 1));
