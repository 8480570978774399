import { companionKey } from "../job/goes-in";
import { goingInOf } from "../job/going-in";
import type { Job } from "../job/job";
import { serviceCaution } from "../job/service";
import { cleaningCautions } from "../lube/cleaning-ways";
import { freeVolumeOf } from "../lube/rooms";
import { slipIn } from "../lube/slips";
import type { RebuildLine } from "../order/rebuild-line";
import { cautionsFor } from "../safety/cautions";

/**
 * What can hurt, or be a slip, at a line: of a step what its strip and its hazards say, of work what it is
 * done with, of a lubricant an amount that cannot be.
 */
export function cautionsAt(job: Job, line: RebuildLine): readonly string[] {
  if (line.kind === "grease") {
    const g = job.lubePoints.find((x) => x.id === line.lubePoint);
    const chamber = job.chambers?.find((c) => c.id === g?.chamber);
    const slip =
      g?.grams === undefined
        ? null
        : slipIn(g.weighedGrams ?? g.grams, {
            aim: g.grams,
            freeVolumeMl: chamber && freeVolumeOf(job, chamber),
          });
    return slip ? [slip.says] : [];
  }
  if (line.kind === "service") {
    const v = job.services.find((s) => s.id === line.service);
    return [...cleaningCautions(v?.method), ...serviceCaution(v?.do)];
  }
  if (line.kind === "with") {
    // what goes in new flies, and cuts, as well as the old one
    const c = goingInOf(job)
      .find((g) => g.part === line.part)
      ?.with.find((w) => companionKey(w) === line.companion);
    return c ? cautionsFor({ id: line.part, action: "lift-off" }, [{ name: c.name }], "back") : [];
  }
  return "cautions" in line ? line.cautions : [];
}
