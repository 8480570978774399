import type { Mesh, TrainInput } from "../../src/core/train/train";
import { type Chance, chance, type MadeUnit, machineSound } from "./machine-sound";

/** A recording whose truth is known. */
export interface MadeRecording extends MadeUnit {
  readonly samples: Float32Array;
  readonly truth: {
    readonly kind: "none" | "tooth" | "eccentric";
    readonly mesh: string | null;
    readonly shaft: string | null;
  };
}

/** Some unit nobody has: one to four meshes, of the kinds a small machine has, sound or with one fault. */
export function randomRecording(seed: number, seconds = 8): MadeRecording {
  const r = chance(seed);
  const train = randomTrain(r);
  const kind = r.oneOf(["none", "none", "tooth", "tooth", "tooth", "eccentric", "eccentric"] as const);
  const mesh = r.oneOf(train.meshes.filter((m) => m.kind !== "belt"));
  // a worm has no tooth to lose
  const side = mesh.kind === "worm" ? ("driven" as const) : r.oneOf(["driver", "driven"] as const);
  const fault = kind === "none" ? null : { kind, mesh: mesh.id, side, strength: r.next() };
  const unit: MadeUnit = {
    train,
    rpm: train.input.rpm * r.between(0.8, 1.15),
    fault,
    seconds,
    rate: r.oneOf([16000, 22050, 44100]),
  };
  const wheel = mesh.kind === "planetary" ? null : mesh[side];
  return {
    ...unit,
    samples: machineSound(unit, r),
    truth: { kind, mesh: fault ? mesh.id : null, shaft: fault && wheel ? wheel.shaft : null },
  };
}

function randomTrain(r: Chance): TrainInput {
  const meshes: Mesh[] = [];
  const count = r.oneOf([1, 2, 2, 2, 3, 3, 3, 4]);
  let shaft = "motor";
  for (let i = 0; i < count; i++) {
    const next = i === count - 1 ? "output" : `shaft${i + 1}`;
    const kind =
      i === 0
        ? r.oneOf(["spur", "helical", "helical", "worm", "belt", "bevel"] as const)
        : r.oneOf(["spur", "spur", "helical", "helical", "bevel"] as const);
    // a belt alone has no teeth that break
    const id = `m${i + 1}`;
    const small = kind === "worm" ? r.whole(1, 3) : r.whole(kind === "belt" ? 12 : 7, 20);
    const large = kind === "worm" ? r.whole(18, 50) : Math.round(small * r.between(1.3, 5.5)) + r.whole(0, 2);
    meshes.push({
      id,
      kind: kind === "belt" && count === 1 ? "spur" : kind,
      driver: { shaft, teeth: small },
      driven: { shaft: next, teeth: large },
    } as Mesh);
    shaft = next;
  }
  return { input: { shaft: "motor", rpm: Math.round(900 * 22 ** r.next() * 0.01) * 100 }, meshes };
}
