import { StagePlaces } from "../frame/stage-places";

const PLACES = [
  { place: "parts", keyName: "J", says: "Parts", path: "" },
  { place: "train", keyName: "N", says: "Train", path: "/train" },
  { place: "why", keyName: "Y", says: "Why", path: "/why" },
  { place: "hardware", keyName: "K", says: "Hardware", path: "/hardware" },
] as const;

/** The places of Judge. */
export const JudgePlaces = ({ number, at }: { number: string; at?: (typeof PLACES)[number]["place"] }) => (
  <StagePlaces stage="judge" label="Judge" places={PLACES} number={number} at={at} />
);
