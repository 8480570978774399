import { hostname, networkInterfaces } from "node:os";

/** Names by which this computer calls itself. */
const OWN_NAMES = ["localhost", "127.0.0.1", "[::1]"];

/**
 * Whether an address is this computer's own. A socket for both kinds of address writes the old ones as
 * `::ffff:127.0.0.1`.
 */
export const isLoopback = (address: string | undefined): boolean =>
  address !== undefined && /^(::1|(::ffff:)?127(\.\d{1,3}){3})$/.test(address);

/** The name in a Host header, without its port. Null: it is none. */
export function hostName(header: string | undefined): string | null {
  const m = /^(\[[0-9a-f:.]+\]|[a-z0-9.-]+)(?::\d{1,5})?$/i.exec(header ?? "");
  return m?.[1]?.toLowerCase() ?? null;
}

/**
 * Whether the shop is called by a name that it knows. A page of somewhere else can let its own name point
 * here; its Host stays its own.
 *
 * @param more names that the shop was told to answer to, apart from its addresses
 * @param fromOutside whether who asks sits at another computer
 */
export function isKnownHost(
  header: string | undefined,
  { fromOutside, more }: { readonly fromOutside: boolean; readonly more: readonly string[] },
): boolean {
  const name = hostName(header);
  if (name === null) return false;
  if (OWN_NAMES.includes(name) || more.includes(name)) return true;
  return fromOutside && ownNamesOnTheNet().includes(name);
}

/** What other computers on the net call this one: its addresses, and its name with and without `.local`. */
export function ownNamesOnTheNet(): string[] {
  const addresses = Object.values(networkInterfaces()).flatMap((all) =>
    (all ?? []).filter((a) => !a.internal).map((a) => (a.family === "IPv6" ? `[${a.address}]` : a.address)),
  );
  const name = hostname().toLowerCase();
  return [...addresses.map((a) => a.toLowerCase()), name, ...(name.includes(".") ? [] : [`${name}.local`])];
}

/** The names in `DEMONTAGE_NAMES`, by commas. */
export const namesSaid = (said: string | undefined): string[] => (said ?? "").split(",").map((n) => n.trim().toLowerCase()).filter(Boolean); // biome-ignore format: one chain
