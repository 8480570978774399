export { type BevelHypothesis, type BevelInput, bevelInput, identifyBevel } from "./bevel";
export { type Identification, identifyGear } from "./identify";
export { type Doubt, type Hypothesis, type IdentifyInput, identifyInput } from "./input";
export type { NextReading } from "./next-reading";
export { unexplained } from "./ranked";
export { identifyWorm, type WormHypothesis, type WormInput, wormInput } from "./worm";
