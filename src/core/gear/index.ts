export { type Gear, type GearDimensions, gearDimensions } from "./dimensions";
export { type Hypothesis, type Identification, type IdentifyInput, identifyGear, identifyInput } from "./identify";
export { tipDiameterFromFlatJaws } from "./jaws-across";
export { gearOutline, type Point, toothFlank, toothOutline } from "./outline";
export { overPins } from "./over-pins";
export { bestSpanTeeth, faceWideEnough, spanOver } from "./span-measurement";
