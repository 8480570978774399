/** Reading a gear from a photograph. The door for the command line, the worker and the screen. */

export { boreOf } from "./bore";
export { boreFormsOf, type SeenBoreForm } from "./bore-form-seen";
export { discAt, type SeenDisc } from "./disc";
export { axesOf, type FacePlane, faceFromAxes, type Spot, sizeOf, toFace, toPicture } from "./face-plane";
export { type FaceScale, faceSizes, scaleFromCorners, scaleFromDisc, scaleFromPoints } from "./face-scale";
export type { Progress } from "./find-rings";
export { checkPicture, LONGEST_SIDE, type Picture, planesOf } from "./picture";
export { answerFrom, type GearReading, type PictureReading, readGear, ringLayer, SURE } from "./read-gear";
export type { RingEvidence, RingReading } from "./ring-reading";
export { ticksBetween } from "./rule";
export { CARD, cardText, sideOfCard } from "./scale-card";
export type { SlotState, ToothSlot } from "./tooth-slots";
