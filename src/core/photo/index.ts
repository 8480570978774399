/** Reading a gear from a photograph. The door for the command line, the worker and the screen. */
export { axesOf, type FacePlane, type Spot, sizeOf, toFace, toPicture } from "./face-plane";
export type { Progress } from "./find-rings";
export { checkPicture, LONGEST_SIDE, type Picture } from "./picture";
export { answerFrom, type GearReading, type PictureReading, readGear, ringFrom, runsOf, SURE } from "./read-gear";
export type { RingEvidence, RingReading } from "./ring-reading";
export type { SlotState, ToothSlot } from "./tooth-slots";
