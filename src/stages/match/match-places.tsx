import { StagePlaces } from "../frame/stage-places";
import type { MatchHead } from "./match-head";

const PLACES = [
  { place: "parts", keyName: "J", says: "Parts", path: "" },
  { place: "basket", keyName: "N", says: "Basket", path: "/basket" },
  { place: "quote", keyName: "Y", says: "Quote", path: "/quote" },
  { place: "arrival", keyName: "K", says: "Arrived", path: "/arrival" },
] as const;

/** The places of Match; how many parts wait to be compared stands at the last. */
export function MatchPlaces({
  number,
  toCompare,
  at,
}: MatchHead & { at?: (typeof PLACES)[number]["place"] }) {
  const places = PLACES.map((p) =>
    p.place === "arrival" && toCompare ? { ...p, says: `${p.says} (${toCompare})` } : p,
  );
  return <StagePlaces stage="match" label="Match" places={places} number={number} at={at} />;
}
