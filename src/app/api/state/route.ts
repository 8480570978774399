import { shopTrouble } from "@/store/shop-state";

/** Whether the shop is there, and what is wrong with it if something is. Screens ask while nothing else is going on. */
export async function GET(): Promise<Response> {
  return Response.json({ trouble: await shopTrouble() }, { headers: { "cache-control": "no-store" } });
}
