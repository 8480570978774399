import { deviceOf, sessionOf } from "@/store/devices";
import { logDoor } from "@/store/door-log";
import { AT_HOME, type Presence } from "./presence";

/** What a request says of itself before anything of it is read. */
export interface Asking {
  readonly path: string;
  readonly method: string;
  readonly cookie: string | undefined;
  /** from another computer than the shop's own */
  readonly fromOutside: boolean;
  readonly address: string;
}

export type Admission =
  | { readonly presence: Presence }
  | {
      readonly refused: string;
      readonly status: number /** where a person is sent instead */;
      readonly goTo?: string;
      readonly cookie?: string;
    };

export const DEVICE_COOKIE = "__Host-demontage-device";
export const SESSION_COOKIE = "__Host-demontage-session";

/** A cookie that no script reads, no other site sends along, and that goes over HTTPS only. */
export const cookieFor = (name: string, token: string, seconds: number): string =>
  `${name}=${token}; Path=/; Max-Age=${seconds}; HttpOnly; Secure; SameSite=Strict`;

/** What holds nothing of the shop: the program's own files. */
const OPEN = /^\/(_next\/static\/|away\.(html|js)$|away-worker\.js$|icon\.svg$)/;
/** What a device may ask for before it is paired, and a paired one before anybody is signed in. */
const FOR_PAIRING = /^\/(pair$|api\/door\/pair$)/;
const FOR_SIGNING_IN = /^\/(sign-in$|api\/door\/sign-in$|api\/state$)/;

export function cookieNamed(header: string | undefined, name: string): string | undefined {
  for (const piece of (header ?? "").split(";")) {
    const [key, ...value] = piece.trim().split("=");
    if (key === name) return value.join("=");
  }
  return undefined;
}

/**
 * Refusals of a kind from one address are written down once in so long: who keeps knocking does not fill the
 * disk.
 */
const NEWS_MS = 60_000;
const MOST_KNOWN = 1000;
const told = new Map<string, number>();
function isNews(line: string, now = Date.now()): boolean {
  if (now - (told.get(line) ?? 0) < NEWS_MS) return false;
  if (told.size >= MOST_KNOWN) told.clear();
  told.set(line, now);
  return true;
}

/** Nobody yet: lets a device be paired, or somebody sign in, and nothing else. */
const stranger = (device: string): Presence => ({ here: false, role: "desk", name: "", device });

/** Whether a request is let in, and as whose. At the shop's own computer nothing is asked. */
export async function admit({ path, method, cookie, fromOutside, address }: Asking): Promise<Admission> {
  if (!fromOutside) return { presence: AT_HOME };
  if (OPEN.test(path)) return { presence: stranger("") };
  const token = cookieNamed(cookie, DEVICE_COOKIE);
  const device = token ? await deviceOf(token) : null;
  if (!device) {
    if (FOR_PAIRING.test(path)) return { presence: stranger("") };
    const what = token
      ? "refused: the device is not paired any more"
      : method === "GET"
        ? null
        : `refused: ${method} by a device that is not paired`;
    if (what && isNews(`${address} ${what}`)) await logDoor({ what, address });
    return { refused: "This device is not paired with the shop.", status: 401, goTo: "/pair" };
  }
  const sessionToken = cookieNamed(cookie, SESSION_COOKIE);
  const session = sessionToken ? await sessionOf(sessionToken, device.id) : null;
  if (!session) {
    if (FOR_SIGNING_IN.test(path)) return { presence: stranger(device.name) };
    return {
      refused: "Nobody is signed in on this device.",
      status: 401,
      goTo: `/sign-in?then=${encodeURIComponent(path)}`,
    };
  }
  return {
    presence: {
      here: false,
      role: session.role,
      name: session.name,
      device: device.name,
      session: session.id,
    },
  };
}
