// npm run demo: installs, builds, fills a demo shop in data/demo, serves it and prints the address.
// Options by environment: PORT, DEMONTAGE_DATA (another place for the demo shop).
import { spawn } from "node:child_process";
import { createServer } from "node:net";
import { join } from "node:path";
import { build, install, must, root } from "./set-up.mjs";

const data = process.env.DEMONTAGE_DATA ?? join(root, "data", "demo");

const free = (port) =>
  new Promise((done) => {
    const probe = createServer();
    probe.once("error", () => done(false));
    probe.listen(port, () => probe.close(() => done(true)));
  });

async function freePort() {
  if (process.env.PORT) return Number(process.env.PORT);
  for (let port = 3000; port < 3100; port++) if (await free(port)) return port;
  return 3000;
}

install();
build();
must("Filling the demo shop", "tsx", ["demo/shop/seed.ts"], { env: { DEMONTAGE_DATA: data } });
const port = await freePort();
const server = spawn(process.execPath, [join(root, "scripts", "serve.mjs"), "--port", String(port)], {
  cwd: root,
  stdio: ["ignore", "pipe", "inherit"],
  // as start.mjs does, and why
  env: { MALLOC_ARENA_MAX: "2", ...process.env, DEMONTAGE_DATA: data, NEXT_TELEMETRY_DISABLED: "1" },
});
let said = false;
server.stdout.on("data", (text) => {
  if (said || !/Ready/i.test(String(text))) return;
  said = true;
  console.log(
    `\n  Demontage, demo shop:  http://localhost:${port}\n  Its data lies in ${data}. Ctrl+C stops it.\n`,
  );
});
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
server.on("exit", (code) => process.exit(code ?? 0));
