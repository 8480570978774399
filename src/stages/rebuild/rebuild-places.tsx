import { StagePlaces } from "../frame/stage-places";

const PLACES = [
  { place: "line", keyName: "J", says: "The line", path: "" },
  { place: "plan", keyName: "P", says: "The plan", path: "/plan" },
  { place: "way-in", keyName: "N", says: "Way in", path: "/way-in" },
] as const;

/** The places of Rebuild. */
export const RebuildPlaces = ({ number, at }: { number: string; at: (typeof PLACES)[number]["place"] }) => (
  <StagePlaces stage="rebuild" label="Rebuild" places={PLACES} number={number} at={at} />
);
