import { z } from "zod";
import { Fault } from "@/core/fault";
import { fromAddress, inAddress } from "@/core/job/address";
import { gear3mf } from "@/exchange/gear-3mf";
import { gearDxf, gearStl, gearSvg } from "@/exchange/gear-files";
import { gearToMake } from "@/stages/match/gear-to-make";
import { currentJob } from "@/store/job";

const FILES = {
  svg: { type: "image/svg+xml", write: gearSvg },
  dxf: { type: "image/vnd.dxf", write: gearDxf },
  stl: { type: "model/stl", write: gearStl },
  "3mf": { type: "model/3mf", write: gear3mf },
} as const;
const fileKind = z.enum(["svg", "dxf", "stl", "3mf"] satisfies (keyof typeof FILES)[]);

/**
 * A gear of a job in true size, to be made: `?as=svg`, `dxf`, `stl` or `3mf`; `&thinned=0.15` for backlash,
 * mm on the span.
 */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ number: string; part: string }> },
): Promise<Response> {
  const { number, part: said } = await params;
  const part = fromAddress(said);
  const { data: as } = fileKind.safeParse(new URL(request.url).searchParams.get("as"));
  if (!as) return Response.json({ says: "Ask for svg, dxf, stl or 3mf." }, { status: 400 });
  const file = FILES[as];
  const job = await currentJob(number);
  if (!job) return Response.json({ says: `There is no job ${number}.` }, { status: 404 });
  const { gear, missing } = gearToMake(job, part);
  if (!gear) return Response.json({ says: `Measure first: ${missing.join(", ")}.` }, { status: 422 });
  const thinned = new URL(request.url).searchParams.get("thinned");
  if (thinned !== null && !/^[01](\.\d{1,3})?$/.test(thinned))
    return Response.json(
      { says: "Teeth are thinned by 0 to 1 mm: type it like thinned=0.15." },
      { status: 400 },
    );
  const made = thinned === null ? gear : { ...gear, thinnedMm: Number(thinned) };
  try {
    // a header carries plain letters only
    const name = `${job.number}-${inAddress(part)}-${gear.teeth}-teeth.${as}`;
    return new Response((await file.write(made)) as BodyInit, {
      headers: { "content-type": file.type, "content-disposition": `attachment; filename="${name}"` },
    });
  } catch (e) {
    if (e instanceof Fault) return Response.json({ says: `${e.path} ${e.says}.` }, { status: 422 });
    throw e;
  }
}
