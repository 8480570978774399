import { randomBytes } from "node:crypto";
import { type IncomingMessage, Server as PlainServer, type ServerResponse } from "node:http";
import { Server as SecureServer } from "node:https";
import type { Duplex } from "node:stream";
import type { TLSSocket } from "node:tls";
import { notDone, troubleIn } from "@/store/trouble";
import { isKnownHost, isLoopback, namesSaid } from "./address";
import { admit } from "./admit";
import { passFor } from "./pass";
import { contentSecurityPolicy, SECURITY_HEADERS } from "./security-headers";

/** Ways in which something may be asked. */
const METHODS = ["GET", "HEAD", "POST", "DELETE"];
const LONGEST_ADDRESS = 4000;

/**
 * Stands before the program in every server of this process: every request passes here first, whatever it
 * asks for. What comes from another computer is admitted by device and person; what calls the shop by a name
 * that is not
 * its own, or is no proper request, is refused with a sentence. What is let through carries a pass that
 * nobody outside can write.
 */
export function standGuard(): void {
  const guarded = globalThis as { demontageGuarded?: boolean };
  if (guarded.demontageGuarded) return;
  guarded.demontageGuarded = true;
  for (const { prototype } of [PlainServer, SecureServer]) {
    const emit = prototype.emit as (event: string, ...args: unknown[]) => boolean;
    prototype.emit = function (this: PlainServer, event: string, ...args: unknown[]): boolean {
      // nothing here is spoken but HTTP; the framework's own workshop uses more
      if ((event === "upgrade" || event === "connect") && process.env.NODE_ENV === "production") {
        (args[1] as Duplex).destroy();
        return true;
      }
      if (event !== "request") return emit.call(this, event, ...args);
      const [request, response] = args as [IncomingMessage, ServerResponse];
      letIn(request, response).then(
        (isIn) => isIn && emit.call(this, event, ...args),
        (e) => {
          const trouble = troubleIn(e);
          if (!trouble) console.error(e);
          refuse(
            response,
            503,
            trouble ? notDone("Nobody can be let in", trouble) : "The program on the shop’s computer failed.",
          );
        },
      );
      return true;
    } as typeof prototype.emit;
  }
}

async function letIn(request: IncomingMessage, response: ServerResponse): Promise<boolean> {
  for (const [name, value] of Object.entries(SECURITY_HEADERS)) response.setHeader(name, value);
  const nonce = randomBytes(16).toString("base64");
  const policy = contentSecurityPolicy(nonce, process.env.NODE_ENV !== "production");
  response.setHeader("content-security-policy", policy);
  if (!METHODS.includes(request.method ?? "")) {
    response.setHeader("allow", METHODS.join(", "));
    return refuse(response, 405, "This way of asking is not known here.");
  }
  const path = pathOf(request.url);
  if (path === null) return refuse(response, 400, "This is no address.");
  const { fromOutside, secure, address } = whereFrom(request);
  if (!isKnownHost(request.headers.host, { fromOutside, more: namesSaid(process.env.DEMONTAGE_NAMES) }))
    return refuse(
      response,
      421,
      "This shop is not called by that name. Use the address that the program printed when it began, or give it the name in DEMONTAGE_NAMES.",
    );
  if (fromOutside && !secure)
    return refuse(
      response,
      403,
      "On the local net this shop is reached by HTTPS only: npm start -- --host 0.0.0.0",
    );
  const answer = await admit({
    path,
    method: request.method ?? "",
    cookie: request.headers.cookie,
    fromOutside,
    address,
  });
  if ("refused" in answer) {
    if (answer.cookie) response.setHeader("set-cookie", answer.cookie);
    if (
      answer.goTo &&
      request.method === "GET" &&
      /text\/html/.test(request.headers.accept ?? "") &&
      !request.headers.rsc
    ) {
      response.writeHead(303, { location: answer.goTo }).end();
      return false;
    }
    return refuse(response, answer.status, answer.refused);
  }
  // what says such a thing and comes from outside is written over here
  request.headers["x-demontage-pass"] = passFor(answer.presence);
  // by this the framework gives its own scripts the sign they need
  request.headers["content-security-policy"] = policy;
  delete request.headers["x-middleware-subrequest"];
  return true;
}

function whereFrom(request: IncomingMessage): { fromOutside: boolean; secure: boolean; address: string } {
  const peer = request.socket.remoteAddress ?? "";
  const near = isLoopback(peer);
  // another program on this computer stands between: whoever asks sits elsewhere
  const forwarded = ["forwarded", "x-forwarded-for", "x-real-ip", "via"].some(
    (h) => request.headers[h] !== undefined,
  );
  const encrypted = (request.socket as Partial<TLSSocket>).encrypted === true;
  const said = String(request.headers["x-forwarded-for"] ?? "").split(",").at(-1)?.trim(); // biome-ignore format: one chain
  return {
    fromOutside: forwarded || !near,
    secure: encrypted || (near && forwarded && request.headers["x-forwarded-proto"] === "https"),
    address: near && forwarded && said ? said.slice(0, 60) : peer,
  };
}

/** The path of an address as it was asked for, or null where it is none. */
function pathOf(url: string | undefined): string | null {
  if (!url?.startsWith("/") || url.length > LONGEST_ADDRESS) return null;
  try {
    decodeURIComponent(url.split("?")[0] ?? "");
    return new URL(url, "http://shop").pathname;
  } catch {
    return null;
  }
}

function refuse(response: ServerResponse, status: number, says: string): false {
  if (!response.headersSent)
    response.writeHead(status, {
      "content-type": "application/json; charset=utf-8",
      "cache-control": "no-store",
    });
  response.end(`${JSON.stringify({ says })}\n`);
  return false;
}
