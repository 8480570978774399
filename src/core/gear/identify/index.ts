export { type BevelHypothesis, type BevelInput, bevelInput, identifyBevel } from "./bevel";
export { doubtsAmong } from "./doubts";
export { type Identification, identifyGear } from "./identify";
export { type Doubt, type Hypothesis, type IdentifyInput, identifyInput } from "./input";
export type { NextReading } from "./next-reading";
export { identifyRing, type RingInput, ringInput } from "./ring";
export { identifyWorm, type WormHypothesis, type WormInput, wormInput } from "./worm";
