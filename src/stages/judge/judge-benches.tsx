import { StagePlaces } from "../frame/stage-places";

const BENCHES = [
  { place: "parts", keyName: "J", says: "Parts", path: "" },
  { place: "train", keyName: "N", says: "Train", path: "/train" },
  { place: "why", keyName: "Y", says: "Why", path: "/why" },
  { place: "hardware", keyName: "K", says: "Hardware", path: "/hardware" },
] as const;

/** The places of Judge. */
export const JudgeBenches = ({ number, at }: { number: string; at?: (typeof BENCHES)[number]["place"] }) => (
  <StagePlaces stage="judge" label="Judge" places={BENCHES} number={number} at={at} />
);
