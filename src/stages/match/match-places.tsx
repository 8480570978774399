import type { Job } from "@/core/job/job";
import { StagePlaces } from "../frame/stage-places";

const PLACES = [
  { place: "parts", keyName: "J", says: "Parts", path: "" },
  { place: "basket", keyName: "N", says: "Basket", path: "/basket" },
  { place: "quote", keyName: "Y", says: "Quote", path: "/quote" },
  { place: "arrival", keyName: "K", says: "Arrived", path: "/arrival" },
] as const;

/** The places of Match; how many parts wait to be compared stands at the last. */
export function MatchPlaces({ job, at }: { job: Pick<Job, "number" | "arrivals">; at?: (typeof PLACES)[number]["place"] }) {
  const waiting = job.arrivals.filter((a) => !a.decision).length;
  const places = PLACES.map((p) => (p.place === "arrival" && waiting ? { ...p, says: `${p.says} (${waiting})` } : p));
  return <StagePlaces stage="match" label="Match" places={places} number={job.number} at={at} />;
}
