import type { Knex } from "knex";
import { z } from "zod";
import { Fault } from "@/core/fault";
import { modelNamed } from "@/core/job/model-named";
import { type GuideFile, type GuideUnit, guideUnit, isSameStrip } from "@/core/memory/guide-file";
import { NOTHING_WRITTEN, type WrittenGuide, writtenGuide } from "@/core/memory/written-guide";
import { takeInAssemblies } from "./assemblies";
import { changeJob } from "./change";
import { database } from "./database";

interface Model {
  readonly maker: string;
  readonly model: string;
}
/** What is kept of a model besides the shop's own jobs. */
export interface KeptGuide {
  readonly written: WrittenGuide;
  /** strips from elsewhere, the last taken in first */
  readonly units: readonly GuideUnit[];
  /** 0: nothing is kept yet */
  readonly version: number;
}

const NOTHING_KEPT: KeptGuide = { written: NOTHING_WRITTEN, units: [], version: 0 };
/** Strips from elsewhere that are kept. */
const MOST_UNITS = 8;
const keptRow = z.object({ written: z.string(), units: z.string(), version: z.number() });

function kept(row: unknown): KeptGuide {
  if (!row) return NOTHING_KEPT;
  const { written, units, version } = keptRow.parse(row);
  return {
    written: writtenGuide.parse(JSON.parse(written)),
    units: z.array(guideUnit).parse(JSON.parse(units)),
    version,
  };
}
const named = ({ maker, model }: Model) => ({ maker: maker.trim(), model: model.trim() });

/** What is kept of a model; of a unit whose model nobody knows nothing is. */
export async function keptGuide(of: Model): Promise<KeptGuide> {
  if (!modelNamed(of.model)) return NOTHING_KEPT;
  return kept(await (await database())("guides").where(named(of)).first());
}

async function put(
  trx: Knex.Transaction,
  of: Model,
  at: string,
  work: (before: KeptGuide) => Omit<KeptGuide, "version">,
): Promise<void> {
  if (!modelNamed(of.model))
    throw new Fault("model", "a guide is of a model: say at Take in which one it is");
  const before = kept(await trx("guides").where(named(of)).first());
  const next = work(before);
  await trx("guides")
    .insert({
      ...named(of),
      written: JSON.stringify(next.written),
      units: JSON.stringify(next.units),
      version: before.version + 1,
      at,
    })
    .onConflict(["maker", "model"])
    .merge(["written", "units", "version", "at"]);
}

/**
 * What somebody wrote into the guide of a job's model. Refused where somebody else did meanwhile.
 *
 * @param of the version of the guide that was on the screen
 */
export async function writeGuide(
  number: string,
  version: number,
  of: number,
  written: WrittenGuide,
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    await put(trx, job, at, (before) => {
      if (before.version !== of)
        throw new Fault("", "somebody wrote into this guide meanwhile; look at it as it is now");
      return { ...before, written };
    });
    return `the model's guide: ${says}`;
  });
}

/**
 * A guide from elsewhere is taken in at a job of its model: its strips stand beside those of the shop, and
 * what was written into it beside what was written here. The same strip is there once.
 */
export async function takeInGuide(number: string, file: GuideFile): Promise<number> {
  return changeJob(number, "any", async ({ trx, job, at }) => {
    await put(trx, job, at, ({ written, units }) => ({
      units: [
        ...file.units,
        ...units.filter((u) => !file.units.some((f) => isSameStrip(f.strip, u.strip))),
      ].slice(0, MOST_UNITS),
      written: together(written, file.written),
    }));
    const ways = await takeInAssemblies(trx, file.assemblies ?? [], at);
    const says = [
      file.units.length === 1 ? "one strip" : `${file.units.length} strips`,
      ...(ways.length ? [`how it goes together: ${ways.join(", ")}`] : []),
    ];
    return `took in a guide of ${[file.model.maker, file.model.model].filter(Boolean).join(" ")}: ${says.join("; ")}`;
  });
}

function together(here: WrittenGuide, there: WrittenGuide): WrittenGuide {
  const both = <T>(a: readonly T[], b: readonly T[], most: number): T[] => {
    const seen = new Set(a.map((x) => JSON.stringify(x)));
    return [...a, ...b.filter((x) => !seen.has(JSON.stringify(x)))].slice(0, most);
  };
  return {
    said: both(here.said, there.said, 300),
    dropped: both(here.dropped, there.dropped, 300),
    free: both(here.free, there.free, 300),
    tools: both(here.tools, there.tools, 60),
    notTools: both(here.notTools, there.notTools, 60),
  };
}
