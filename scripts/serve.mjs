// npm start: serves the shop. By itself only for this computer (127.0.0.1); on the local net by HTTPS, for
// devices that were paired and people who signed in.
//
//   npm start                                    http://127.0.0.1:3000
//   npm start -- --port 8080
//   npm start -- --host 0.0.0.0                  https on the local net, with a certificate of the shop's own
//   npm start -- --host 0.0.0.0 --cert F --key F with one that it is given
//
// The same by environment: PORT, DEMONTAGE_HOST, DEMONTAGE_CERT, DEMONTAGE_KEY; DEMONTAGE_NAMES are more
// names it is called by.
import { createServer as createPlain } from "node:http";
import { createServer as createSecure } from "node:https";
import { hostname, networkInterfaces } from "node:os";
import { join, resolve } from "node:path";
import { parseArgs } from "node:util";
import next from "next";
import { certificateFor } from "./certificate.mjs";
import { root } from "./set-up.mjs";

// pictures that are decoded and written leave room for what screens ask of the disk
process.env.UV_THREADPOOL_SIZE ??= "16";
const OLDEST_CARED_FOR = 22;
const LOOPBACK = ["127.0.0.1", "localhost", "::1"];

function asked() {
  try {
    return parseArgs({
      options: {
        port: { type: "string", short: "p" },
        host: { type: "string", short: "H" },
        cert: { type: "string" },
        key: { type: "string" },
      },
    }).values;
  } catch (e) {
    console.error(`${e.message}\nnpm start -- [--port 3000] [--host 0.0.0.0] [--cert FILE --key FILE]`);
    process.exit(2);
  }
}

const said = asked();
const port = Number(said.port ?? process.env.PORT ?? 3000);
if (!Number.isInteger(port) || port < 1 || port > 65_535) {
  console.error(`  “${said.port ?? process.env.PORT}” is no port: a whole number from 1 to 65535.`);
  process.exit(2);
}
const host = said.host ?? process.env.DEMONTAGE_HOST ?? "127.0.0.1";
const folder = resolve(process.env.DEMONTAGE_DATA ?? join(root, "data"));
const alone = LOOPBACK.includes(host);

/** The addresses and names that other computers call this one by. */
const names = () => [
  ...Object.values(networkInterfaces()).flatMap((all) =>
    all.filter((a) => !a.internal && a.family === "IPv4").map((a) => a.address),
  ),
  hostname(),
  ...(hostname().includes(".") ? [] : [`${hostname()}.local`]),
  ...(process.env.DEMONTAGE_NAMES ?? "").split(",").filter(Boolean),
];

/**
 * The framework begins with the first thing it is asked: it is asked by us, where nobody else can, so that
 * the guard stands at the door before it is opened.
 */
async function untilGuarded(handle) {
  const inside = createPlain((req, res) => void handle(req, res));
  await new Promise((done) => inside.listen(0, "127.0.0.1", done));
  await fetch(`http://127.0.0.1:${inside.address().port}/glyphs.svg`, {
    signal: AbortSignal.timeout(90_000),
  }).catch(() => undefined);
  await new Promise((done) => {
    inside.close(done);
    inside.closeAllConnections();
  });
  if (globalThis.demontageGuarded) return;
  console.error(
    "  The guard does not stand at the door; nothing is served. Build the program anew: npm run build",
  );
  process.exit(1);
}

process.umask(0o077);
const major = Number(process.versions.node.split(".")[0]);
if (major < OLDEST_CARED_FOR)
  console.log(
    `  Node ${process.versions.node} is no longer cared for by those who make it: install ${OLDEST_CARED_FOR} or newer when you can.`,
  );
const shown = alone
  ? undefined
  : await certificateFor({
      cert: said.cert ?? process.env.DEMONTAGE_CERT,
      key: said.key ?? process.env.DEMONTAGE_KEY,
      folder,
      names: names(),
    });
const where = `${alone ? "http" : "https"}://${alone ? (host === "::1" ? "[::1]" : host) : (shown.name ?? host)}:${port}`;
process.env.DEMONTAGE_ADDRESS = where;
process.env.NODE_ENV = "production";

const server = alone
  ? createPlain()
  : createSecure({ cert: shown.cert, key: shown.key, minVersion: "TLSv1.2" });
// somebody who sends his heading byte by byte, or never ends a picture, holds nothing for long
server.headersTimeout = 15_000;
server.requestTimeout = 10 * 60_000;
// longer than a screen is silent: a question is never sent into a connection that is being closed
server.keepAliveTimeout = 65_000;
server.maxConnections = 512;
server.on("error", (e) => {
  console.error(
    e.code === "EADDRINUSE"
      ? `  Port ${port} is in use already. Choose another: npm start -- --port ${port + 1}`
      : e.code === "EACCES"
        ? `  Port ${port} may not be used by this user. Choose one above 1024.`
        : e.message,
  );
  process.exit(1);
});
const app = next({ dev: false, dir: root, hostname: host, port, httpServer: server });
await app.prepare();
const handle = app.getRequestHandler();
await untilGuarded(handle);
server.on("request", (req, res) => void handle(req, res));
server.listen(port, host, () =>
  console.log(`  Ready: ${where}\n  Its data lies in ${folder}. Ctrl+C stops it.`),
);

let stopping = false;
const stop = () => {
  if (stopping) process.exit(0);
  stopping = true;
  server.close(() => process.exit(0));
  // a browser that goes on asking keeps its connection: what it has asked is answered, then it is closed
  server.closeIdleConnections();
  setTimeout(() => {
    server.closeAllConnections();
    process.exit(0);
  }, 2000).unref();
};
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, stop);
