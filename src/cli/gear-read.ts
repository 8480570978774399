import { performance } from "node:perf_hooks";
import { Fault } from "@/core/fault";
import { type GearReading, readGear } from "@/core/photo/index";
import { pictureFrom } from "./picture-file";

/** `gear read`: pixels in the answer are the file's own. */
export async function readGearFile(
  path: string | undefined,
  mmPerPx: string | undefined,
): Promise<GearReading & { elapsedMs: number }> {
  if (!path) throw new Fault("", "which picture? gear read PICTURE [--mm-per-px X]");
  const scale = mmPerPx === undefined ? undefined : Number(mmPerPx);
  if (scale !== undefined && !(scale > 0 && scale < 100))
    throw new Fault("--mm-per-px", "is millimetres in one pixel of the picture, for example 0.05");
  const from = performance.now();
  const { picture, scale: k } = await pictureFrom(path);
  // one pixel of what is read is k pixels of the file
  const { answer } = readGear(picture, scale === undefined ? {} : { mmPerPx: scale * k });
  const px = (x: number): number => Math.round(x * k * 10) / 10;
  return {
    ...answer,
    centre: answer.centre && [px(answer.centre[0]), px(answer.centre[1])],
    tipDiameterPx: answer.tipDiameterPx === null ? null : px(answer.tipDiameterPx),
    elapsedMs: Math.round(performance.now() - from),
  };
}
