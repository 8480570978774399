import { readFileSync } from "node:fs";
import { z } from "zod";
import { Fault, readWith } from "@/core/fault";
import {
  bevelInput,
  doubtsAmong,
  identifyBevel,
  identifyGear,
  identifyInput,
  identifyRing,
  identifyWorm,
  ringInput,
  wormInput,
} from "@/core/gear/identify/index";
import { askFrom, lubeAsk } from "@/core/grease/lube-ask";
import { specifyLube } from "@/core/grease/specify";
import { hardwareInput, identifyHardware } from "@/core/hardware/bench/identify-hardware";
import { cureInput, lockerAnswer } from "@/core/hardware/bench/locker";
import { tighteningTorque, torqueInput } from "@/core/hardware/bench/tightening-torque";
import { lineAnswer } from "@/core/hardware/line-answer";
import { readJobFile, stripOf } from "@/core/job/job-file";
import { whyAnswer, whyInput } from "@/core/judge/why-answer";
import { cheapestBasket } from "@/core/match/basket/basket";
import { EXAMPLE_BASKET } from "@/core/match/basket/basket-input";
import { solver } from "@/core/match/basket/solver";
import { EXAMPLE_RANK, rankAnswer } from "@/core/match/candidates/rank-input";
import { accessPlan } from "@/core/order/access-plan";
import { lineKey } from "@/core/order/rebuild-line";
import { ledgerAfter, rebuildPlan } from "@/core/order/rebuild-plan";
import { rebuildSaid } from "@/core/rebuild/said";
import { matchSound, soundInput } from "@/core/sound/match";
import { readWav } from "@/core/sound/wav";
import { clickInput, findClick } from "@/core/train/click-finder";
import { findFuse, fuseInput } from "@/core/train/fuse";
import { solveTrain } from "@/core/train/solve";
import { trainInput } from "@/core/train/train";
import { whyNotRead } from "./not-read";

/** What can be asked besides the words of a command. */
export const OPTIONS = {
  in: { type: "string" },
  out: { type: "string" },
  done: { type: "string" },
  part: { type: "string" },
  "mm-per-px": { type: "string" },
  lines: { type: "boolean" },
  example: { type: "boolean" },
  help: { type: "boolean" },
  "as-new": { type: "boolean" },
} as const;
export type Options = {
  readonly [K in keyof typeof OPTIONS]?:
    | ((typeof OPTIONS)[K]["type"] extends "string" ? string : boolean)
    | undefined;
};

export interface Verb {
  readonly help: string;
  readonly example: unknown;
  /** the answer, or a promise of it */
  readonly answer: (input: unknown, options: Options) => unknown;
  /** verbs that read and write files or the shop's store instead of JSON */
  readonly run?: (words: string[], options: Options) => Promise<void>;
  /** verbs that read a picture: its path in, the answer out */
  readonly picture?: (path: string | undefined, options: Options) => Promise<unknown>;
}

/** Which part is to come off, in which job, and which steps are off already. */
const accessInput = z.strictObject({
  job: z.record(z.string(), z.unknown()),
  part: z.string(),
  off: z.array(z.string()).default([]),
});

const onlyByFile = (): never => {
  throw new Fault("", "this command takes no JSON");
};

const EXAMPLE_TRAIN = {
  input: { shaft: "motor", rpm: 18000, stallTorqueNm: 1.5 },
  meshes: [
    {
      id: "m1",
      kind: "helical",
      driver: {
        shaft: "motor",
        teeth: 9,
        moduleMm: 1,
        faceWidthMm: 12,
        material: "steel",
        helixAngleDeg: 18,
        price: 22,
      },
      driven: {
        shaft: "lay",
        teeth: 47,
        moduleMm: 1,
        faceWidthMm: 10,
        material: "PA66",
        helixAngleDeg: 18,
        price: 9,
      },
    },
    {
      id: "m2",
      kind: "planetary",
      sun: { shaft: "lay", teeth: 12 },
      ring: { shaft: "frame", teeth: 60 },
      carrier: { shaft: "out" },
      planets: 3,
      planetTeeth: 24,
    },
  ],
};

/** The train of the practice recordings. */
const JUICER_MESHES = [
  {
    id: "m1",
    kind: "helical",
    driver: { shaft: "motor", teeth: 9 },
    driven: { shaft: "lay shaft", teeth: 41 },
  },
  {
    id: "m2",
    kind: "spur",
    driver: { shaft: "lay shaft", teeth: 11 },
    driven: { shaft: "output", teeth: 47 },
  },
];

const EXAMPLE_LUBE = {
  foodContact: true,
  school: "measured",
  chambers: [
    {
      id: "case",
      name: "gear case",
      freeVolumeMl: 110,
      makersGrams: null,
      coldestC: 5,
      hottestC: 70,
      seals: ["NBR"],
      materials: ["steel", "ABS"],
      old: { left: "traces", thickener: "AlX", baseOil: "PAO" },
      points: [
        {
          id: "g1",
          kind: "gear-teeth",
          pitchLineMPerS: 1.2,
          materials: ["steel", "PA66"],
          toothVolumeMl: 3.2,
        },
        { id: "g2", kind: "rolling-bearing", bearing: { bore: 8, outside: 22, width: 7 }, rpm: 1400 },
      ],
    },
  ],
  shelf: [
    {
      id: "L1",
      name: "Marsh 1",
      sort: "grease",
      thickener: "AlX",
      nlgi: 1,
      baseOil: "PAO",
      viscosityMm2s: 150,
      solids: [],
      ep: false,
      h1: true,
      leastC: -30,
      mostC: 130,
      density: 0.9,
      grams: 320,
    },
  ],
};

export const commands: Readonly<Record<string, Verb>> = {
  "rebuild plan": {
    help: "a job file in, the order of putting it together out; --done FILE counts the ledger after those line numbers",
    example: {
      format: "demontage-job",
      version: 1,
      unit: { kind: "masticating juicer" },
      parts: [
        { id: "p1", name: "gear case cover" },
        { id: "p2", name: "wheel", renew: true },
      ],
      steps: [
        {
          id: "s1",
          action: "unscrew",
          needs: [],
          hardware: [{ id: "h1", kind: "screw", qty: 6, thread: "ST3.5", lengthMm: 16, drive: "TX15" }],
        },
        { id: "s2", action: "lift-off", parts: ["p1"] },
        { id: "s3", action: "pull", parts: ["p2"] },
      ],
      lubePoints: [{ id: "g1", part: "p2", when: "after-fit", lubricant: "H1 grease, NLGI 1", grams: 12 }],
    },
    answer: (input, options) => {
      const strip = stripOf(readJobFile(input));
      const plan = rebuildPlan(strip);
      const done = options.done;
      if (typeof done !== "string") return plan;
      const numbers = doneNumbers(done, plan.steps.length);
      return {
        ...plan,
        ledger: ledgerAfter(strip, new Set(plan.steps.filter((l) => numbers.has(l.n)).map(lineKey))),
      };
    },
  },
  "rebuild said": {
    help: "a strip as it is typed into the recorder, and what goes in new, in; the way back in words out",
    example: {
      unit: "rag shredder",
      steps: [
        { what: "worm wheel cover", line: "4 screws, sits on 2 dowels" },
        { what: "worm wheel", line: "1 washer above, 1 below" },
      ],
      new: [{ part: "worm wheel", name: "worm wheel 60", with: [{ name: "worm", replaces: "worm" }] }],
    },
    answer: rebuildSaid,
  },
  "access plan": {
    help: "a job file with --part ID, or { job, part, off } with the steps that are off now, in; the least that must come off to reach the part out",
    example: {
      job: {
        format: "demontage-job",
        version: 1,
        unit: { kind: "desk fan" },
        parts: [
          { id: "p1", name: "rear cover" },
          { id: "p2", name: "brush" },
        ],
        steps: [
          {
            id: "s1",
            action: "unscrew",
            needs: [],
            minutes: 3,
            hardware: [{ id: "h1", kind: "screw", qty: 4, drive: "PH2" }],
          },
          { id: "s2", action: "lift-off", parts: ["p1"] },
          { id: "s3", action: "pull", needs: [], parts: ["p2"] },
        ],
      },
      part: "p1",
      off: [],
    },
    answer: (input, { part }) => {
      const asked = part === undefined ? readWith(accessInput, input) : { job: input, part, off: [] };
      return accessPlan(stripOf(readJobFile(asked.job)), asked.part, asked.off);
    },
  },
  "match rank": {
    help: "what is wanted (a number, a unit, a gear, a bearing's size) and a catalogue in, every candidate with its verdict out",
    example: EXAMPLE_RANK,
    answer: rankAnswer,
  },
  "match basket": {
    help: "what is needed and what is offered in, the complete set at the least cost, or the soonest, out, with the runners-up and why they lose",
    example: EXAMPLE_BASKET,
    answer: async (input) => cheapestBasket(input, await solver()),
  },
  "gear identify": {
    help: "caliper readings in, what gear it is out, with probabilities and the next reading to take",
    example: {
      kind: "spur",
      teeth: 37,
      tipDiameter: { value: 31.21, u: 0.03 },
      spans: [
        { teeth: 5, value: 11.05 },
        { teeth: 6, value: 13.41 },
      ],
    },
    answer: identifyAnyKind,
  },
  "gear read": {
    help: "PICTURE [--mm-per-px X]: the teeth of a gear in a photograph, which are missing, and how sure that is; --lines reads one path a line",
    example: ["gear", "read", "demo/pictures/jpeg/juicer-wheel41.jpg"],
    answer: onlyByFile,
    picture: async (path, options) => (await import("./gear-read")).readGearFile(path, options["mm-per-px"]),
  },
  "judge why": {
    help: "what was found in; what began it with probabilities, what led to what, and the next look worth taking, out",
    example: {
      symptoms: ["leaks", "hot"],
      past: { load: "daily" },
      parts: [
        { kind: "shaft", name: "output shaft", mode: "wound" },
        { kind: "seal", name: "output seal", mode: "torn" },
      ],
    },
    answer: (input) => whyAnswer(readWith(whyInput, input)),
  },
  "hardware line": {
    help: "a line as it is said at the bench in, { says }; pieces, facts, what was not read, and what each stretch was taken for out",
    example: { says: "4x TX15 16 ST3.5 corners, one M4 nut front right" },
    answer: lineAnswer,
  },
  "hardware identify": {
    help: "caliper readings of a bearing, thread, pin, circlip or O-ring in, what it is out, best first",
    example: { kind: "bearing", bore: 8.01, outside: 21.98, width: { value: 7.02, u: 0.03 } },
    answer: (input) => identifyHardware(readWith(hardwareInput, input)),
  },
  "hardware torque": {
    help: "a thread, its grade and what it goes into in, the tightening torque with its reasons out",
    example: { thread: "M4", grade: "8.8", into: "brass-insert", oiled: false },
    answer: (input) => tighteningTorque(readWith(torqueInput, input)),
  },
  "hardware cure": {
    help: "a thread locker's class, the metals, the temperature and an activator in; how long it takes out, or why it does not belong there",
    example: { class: "medium", metals: ["stainless steel"], celsius: 12, activated: false },
    answer: (input) => lockerAnswer(readWith(cureInput, input)),
  },
  "grease specify": {
    help: "a unit's chambers and the shop's shelf in; which lubricant, how much at each point, what comes out first and what is missing out",
    example: EXAMPLE_LUBE,
    answer: (input) => specifyLube(askFrom(readWith(lubeAsk, input))),
  },
  "train solve": {
    help: "shafts and meshes in; speeds, rates, periods, one tooth off and what is wrong out",
    example: EXAMPLE_TRAIN,
    answer: (input) => solveTrain(readWith(trainInput, input)),
  },
  "sound match": {
    help: "a WAV and a train in; how fast the motor turned, and which gear or shaft stands out, out, with probabilities",
    example: {
      wav: "demo/sounds/wav/juicer-clicks.wav",
      train: { input: { shaft: "motor", rpm: 1380 }, meshes: JUICER_MESHES },
    },
    answer: (input) => {
      const { wav, train } = readWith(soundInput, input);
      const { rpm, suspects } = matchSound(readWav(fileOf(wav)), train);
      return { rpm, suspects };
    },
  },
  "train click": {
    help: "a train and the taps of a click (and of a shaft that was watched) in, where the click comes from out, with probabilities",
    example: {
      train: EXAMPLE_TRAIN,
      clicksMs: [0, 505, 1010, 1490, 2000, 2510],
      turns: { shaft: "lay", tapsMs: [100, 610, 1105, 1600, 2110] },
    },
    answer: (input) => findClick(readWith(clickInput, input)),
  },
  "train fuse": {
    help: "a train with stall torque, modules, face widths and materials in; which gear breaks first out, and after a swap",
    example: { train: EXAMPLE_TRAIN, swap: { mesh: "m1", role: "driven", material: "steel", price: 31 } },
    answer: (input) => findFuse(readWith(fuseInput, input)),
  },
  "job export": {
    help: "NUMBER [--out FILE]: a job of the shop as NUMBER.demontage.zip",
    example: ["job", "export", "J-0142"],
    answer: onlyByFile,
    run: async (words, options) => (await import("./job-files")).exportJob(words[0], options.out),
  },
  backup: {
    help: "[FOLDER]: backs the whole shop up into a dated folder, also while it is served, and reads it again",
    example: ["backup", "/media/disk/demontage"],
    answer: onlyByFile,
    run: async (words) => (await import("./backups")).backUpNow(words[0]),
  },
  restore: {
    help: "FOLDER: puts a back-up in the place of the shop; what was there is moved aside. The program must not be running",
    example: ["restore", "/media/disk/demontage/2026-11-29T101500"],
    answer: onlyByFile,
    run: async (words) => (await import("./backups")).restoreFrom(words[0]),
  },
  check: {
    help: "looks the whole shop through: its database, every job, the hash of every picture. Changes nothing; exit 1 where something is wrong",
    example: ["check"],
    answer: onlyByFile,
    run: async () => (await import("./backups")).check(),
  },
  "job import": {
    help: "FILE [--as-new]: takes a job file (ZIP or job.json) into the shop",
    example: ["job", "import", "J-0142.demontage.zip"],
    answer: onlyByFile,
    run: async (words, options) =>
      (await import("./job-files")).importJob(words[0], options["as-new"] === true),
  },
};

const withDoubts = (hypotheses: Parameters<typeof doubtsAmong>[0]): unknown => ({
  hypotheses,
  doubts: doubtsAmong(hypotheses),
  next: null,
});

/** `gear identify` by kind: spur and helical, bevel, worm, internal ring. */
function identifyAnyKind(input: unknown): unknown {
  const kind = z.object({ kind: z.string() }).safeParse(input).data?.kind;
  if (kind === "bevel") return withDoubts(identifyBevel(readWith(bevelInput, input)));
  if (kind === "internal") return withDoubts(identifyRing(readWith(ringInput, input)));
  if (kind === "worm") return withDoubts(identifyWorm(readWith(wormInput, input)));
  return identifyGear(readWith(identifyInput, input));
}

function fileOf(path: string): Uint8Array {
  try {
    return readFileSync(path);
  } catch (e) {
    throw new Fault("wav", whyNotRead(e));
  }
}

function doneNumbers(file: string, max: number): Set<number> {
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(file, "utf8"));
  } catch {
    throw new Fault("--done", "cannot be read as a JSON list of line numbers");
  }
  return new Set(readWith(z.array(z.int().min(1).max(max)), json, "--done"));
}
