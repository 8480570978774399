export { type Gear, type GearDimensions, gearDimensions } from "./dimensions";
export { type Hypothesis, type Identification, type IdentifyInput, identifyGear, identifyInput } from "./identify";
export { type BevelHypothesis, type BevelInput, bevelInput, identifyBevel, pitchConeAngle } from "./identify-bevel";
export { identifyWorm, type WormHypothesis, type WormInput, wormInput } from "./identify-worm";
export { tipDiameterFromFlatJaws } from "./jaws-across";
export { measuringPin } from "./measuring-pins";
export { gearOutline, type Point, toothFlank, toothOutline } from "./outline";
export { overPins } from "./over-pins";
export { bestSpanTeeth, faceWideEnough, spanOver } from "./span-measurement";
