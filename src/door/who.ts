import { headers } from "next/headers";
import { mayDo, type Role, roleSays } from "@/core/door/role";
import { Fault } from "@/core/fault";
import { inTheNameOf } from "@/store/who";
import { passOf } from "./pass";
import type { Presence } from "./presence";

/** Who asks may not do that. */
export class NotAllowed extends Fault {
  constructor(says: string) {
    super("", says);
  }
}

/**
 * Who asks, by the pass that the guard gave the request. Throws where it has none: then nobody stood guard.
 */
export async function whoAsks(): Promise<Presence> {
  const found = passOf((await headers()).get("x-demontage-pass"));
  if (!found) throw new Fault("", "nobody knows who asks: begin the program with npm start");
  return found;
}

/** Does some work in the name of who asks, if they may. Throws a Fault with who may. */
export async function asWhoMay<T>(needs: Role, work: (who: Presence) => Promise<T>): Promise<T> {
  const who = await whoAsks();
  if (!who.here && who.session === undefined) throw new NotAllowed("nobody is signed in on this device");
  if (!mayDo(who.role, needs))
    throw new NotAllowed(
      `this is for ${needs === "owner" ? "the owner" : "the bench"}: ${who.name} is signed in as ${roleSays(who.role).toLowerCase()}`,
    );
  return inTheNameOf({ name: who.name, device: who.device }, () => work(who));
}
