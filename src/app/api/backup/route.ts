import { fromElsewhere } from "@/app/api/same-site";
import { backUpBeside } from "@/shop/backup/backup-thread";
import { toldByLine } from "@/shop/parts/told-by-line";

/** Makes a back-up now, telling how far it is. */
export async function POST(request: Request): Promise<Response> {
  const refused = fromElsewhere(request);
  if (refused) return refused;
  return toldByLine((tell) => backUpBeside(tell));
}
