import { z } from "zod";
import { fromElsewhere } from "@/app/api/changing";
import { smallJson } from "@/app/api/door/small-json";
import { Fault, readWith } from "@/core/fault";
import { sentence } from "@/core/sentence";
import { cookieFor, cookieNamed, DEVICE_COOKIE, SESSION_COOKIE } from "@/door/admit";
import { whoAsks } from "@/door/who";
import { beginSession, deviceOf, endSession } from "@/store/devices";
import { logDoor } from "@/store/door-log";
import { checkPin } from "@/store/people";

const asked = z.strictObject({ person: z.int(), pin: z.string().max(20) });
/** The browser forgets it after a day; the shop sooner, if nothing is done. */
const A_DAY = 86_400;

/** Signs somebody in on the device that asks. */
export async function POST(request: Request): Promise<Response> {
  const refused = fromElsewhere(request);
  if (refused) return refused;
  try {
    const { person, pin } = readWith(asked, await smallJson(request));
    const device = await deviceOf(cookieNamed(request.headers.get("cookie") ?? "", DEVICE_COOKIE) ?? "");
    if (!device) throw new Fault("", "this device is not paired with the shop");
    const answer = await checkPin(person, device.id, pin);
    if ("refused" in answer) {
      await logDoor({ what: `refused to sign in: ${answer.refused}`, device: device.name });
      throw new Fault("pin", answer.refused);
    }
    const token = await beginSession(person, device.id);
    await logDoor({ what: "signed in", who: answer.person.name, device: device.name });
    return Response.json({}, { headers: { "set-cookie": cookieFor(SESSION_COOKIE, token, A_DAY) } });
  } catch (e) {
    if (!(e instanceof Fault)) throw e;
    return Response.json({ path: e.path, says: sentence(e.says) }, { status: 422 });
  }
}

/** Signs out. */
export async function DELETE(request: Request): Promise<Response> {
  const refused = fromElsewhere(request);
  if (refused) return refused;
  const { session, name, device } = await whoAsks();
  if (session !== undefined) {
    await endSession(session);
    await logDoor({ what: "signed out", who: name, device });
  }
  return Response.json({}, { headers: { "set-cookie": cookieFor(SESSION_COOKIE, "", 0) } });
}
