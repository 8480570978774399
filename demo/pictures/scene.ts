import type { Pov } from "./parts";

/** One photograph: what lies on which mat, and where the camera arm stands. */
export interface Scene {
  name: string;
  mat: "MatOilcloth" | "MatGrey" | "MatWood" | "MatBlue" | "MatPaper";
  /** width of bench in the picture, mm */
  span: number;
  /** camera away from straight down, degrees */
  tilt?: number;
  turn?: number;
  things: Pov[];
  lift?: number;
  /** the wall behind the bench stands in the picture, out of focus */
  wall?: boolean;
}
