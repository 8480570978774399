import { changing } from "@/app/api/changing";
import { backUpBeside } from "@/shop/backup/backup-thread";
import { toldByLine } from "@/shop/parts/told-by-line";

/** Makes a back-up now, telling how far it is. */
export async function POST(request: Request): Promise<Response> {
  return changing(request, "owner", async () => toldByLine((tell) => backUpBeside(tell)));
}
