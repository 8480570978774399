import type { Role } from "@/core/door/role";
import { Fault } from "@/core/fault";
import { sentence } from "@/core/sentence";
import { asWhoMay, NotAllowed } from "@/door/who";
import { notDone, troubleIn } from "@/store/trouble";

/** A page of another site must not be able to send anything here; null: it did not. */
export function fromElsewhere(request: Request): Response | null {
  const origin = request.headers.get("origin");
  const ours = !origin || (URL.canParse(origin) && new URL(origin).host === request.headers.get("host"));
  // browsers say by themselves where a request comes from; other programs do not
  const site = request.headers.get("sec-fetch-site");
  if (ours && (site === null || site === "same-origin" || site === "none")) return null;
  return Response.json({ says: "Refused: this came from another site." }, { status: 403 });
}

/**
 * The way of every request that changes something by a route of its own: not from another site, and by
 * somebody who may. What is refused or went wrong comes as a sentence.
 */
export async function changing(
  request: Request,
  needs: Role,
  work: () => Promise<Response>,
): Promise<Response> {
  const refused = fromElsewhere(request);
  if (refused) return refused;
  try {
    return await asWhoMay(needs, work);
  } catch (e) {
    if (e instanceof NotAllowed) return Response.json({ says: sentence(e.says) }, { status: 403 });
    if (e instanceof Fault) return Response.json({ path: e.path, says: e.says }, { status: 422 });
    const trouble = troubleIn(e);
    if (trouble) return Response.json({ says: notDone("Not done", trouble) }, { status: 507 });
    throw e;
  }
}
