import { FRAME, shaftsOf, type TrainInput } from "./train";

/** The shafts that power leaves by: driven by some mesh, and driving none. */
export function outputShafts(train: TrainInput): string[] {
  const drivers = new Set(train.meshes.map((m) => (m.kind === "planetary" ? m.sun.shaft : m.driver.shaft)));
  return [...new Set(train.meshes.flatMap(shaftsOf))].filter(
    (s) => s !== FRAME && s !== train.input.shaft && !drivers.has(s),
  );
}
