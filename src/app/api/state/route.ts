import { whoAsks } from "@/door/who";
import { shopTrouble } from "@/store/shop-state";

/**
 * Whether the shop is there, what is wrong with it if something is, and whether somebody is signed in on the
 * device that asks. Screens ask while nothing else is going on.
 */
export async function GET(): Promise<Response> {
  const { here, session } = await whoAsks();
  return Response.json(
    { trouble: await shopTrouble(), signedIn: here || session !== undefined },
    { headers: { "cache-control": "no-store" } },
  );
}
