import { z } from "zod";
import { fromElsewhere } from "@/app/api/changing";
import { smallJson } from "@/app/api/door/small-json";
import { Fault, readWith } from "@/core/fault";
import { sentence } from "@/core/sentence";
import { cookieFor, DEVICE_COOKIE } from "@/door/admit";
import { whoAsks } from "@/door/who";
import { pairDevice } from "@/store/devices";
import { logDoor } from "@/store/door-log";

const asked = z.strictObject({ code: z.string().max(40), name: z.string().max(80) });
const A_YEAR = 400 * 86_400;

/** Pairs the device that asks, by the code on the shop's own screen. */
export async function POST(request: Request): Promise<Response> {
  const refused = fromElsewhere(request);
  if (refused) return refused;
  try {
    if ((await whoAsks()).here)
      throw new Fault("", "this is the shop’s own computer: nothing is asked of it");
    const { token, device } = await pairDevice(readWith(asked, await smallJson(request)));
    await logDoor({ what: "paired", device: device.name });
    return Response.json({}, { headers: { "set-cookie": cookieFor(DEVICE_COOKIE, token, A_YEAR) } });
  } catch (e) {
    if (!(e instanceof Fault)) throw e;
    await logDoor({ what: `refused to pair a device: ${e.says}`.slice(0, 200) });
    return Response.json({ path: e.path, says: sentence(e.says) }, { status: 422 });
  }
}
