import { KeyLink } from "@/ui/key-link";

const PLACES = [
  { place: "parts", keyName: "J", says: "Parts", path: "" },
  { place: "basket", keyName: "N", says: "Basket", path: "/basket" },
  { place: "quote", keyName: "Y", says: "Quote", path: "/quote" },
  { place: "arrival", keyName: "K", says: "Arrived", path: "/arrival" },
] as const;

/** The places of Match, a key apart, in the head of each. */
export function MatchPlaces({ number, at, waiting = 0 }: { number: string; at?: (typeof PLACES)[number]["place"]; waiting?: number }) {
  return (
    <nav aria-label="Match" className="flex gap-1.5">
      {PLACES.map((p) => (
        <KeyLink key={p.place} keyName={p.keyName} href={`/jobs/${number}/match${p.path}`} current={p.place === at} className="small">
          {p.says}
          {p.place === "arrival" && waiting > 0 && ` (${waiting})`}
        </KeyLink>
      ))}
    </nav>
  );
}
