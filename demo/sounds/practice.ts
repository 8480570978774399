/* Makes the practice recordings: `npx tsx demo/sounds/practice.ts`. They are the same each time. */
import { mkdirSync, writeFileSync } from "node:fs";
import { writeWav } from "../../src/core/sound/write-wav";
import type { TrainInput } from "../../src/core/train/train";
import { juicerTrain } from "../shop/juicer";
import { extruderTrain } from "../shop/others";
import { chance, type MadeFault, machineSound } from "./machine-sound";

const PRACTICE = new URL("./wav/", import.meta.url);

interface Practice {
  readonly name: string;
  readonly train: TrainInput;
  readonly seed: number;
  readonly rpm: number;
  readonly fault: MadeFault | null;
}
const RECORDINGS: readonly Practice[] = [
  {
    name: "juicer-clicks",
    train: juicerTrain,
    seed: 41,
    rpm: 1402,
    fault: { kind: "tooth", mesh: "m1", side: "driven", strength: 0.7 },
  },
  {
    name: "juicer-bent-shaft",
    train: juicerTrain,
    seed: 43,
    rpm: 1391,
    fault: { kind: "eccentric", mesh: "m2", side: "driver", strength: 0.8 },
  },
  {
    name: "extruder-before",
    train: extruderTrain,
    seed: 44,
    rpm: 1371,
    fault: { kind: "tooth", mesh: "m2", side: "driven", strength: 0.9 },
  },
  { name: "extruder-after", train: extruderTrain, seed: 68, rpm: 1388, fault: null },
];

function makePractice(): void {
  mkdirSync(PRACTICE, { recursive: true });
  for (const { name, train, seed, rpm, fault } of RECORDINGS) {
    const rate = 16000;
    const samples = machineSound({ train, rpm, fault, seconds: 10, rate }, chance(seed));
    writeFileSync(new URL(`${name}.wav`, PRACTICE), writeWav({ samples, rate }));
  }
}

makePractice();
