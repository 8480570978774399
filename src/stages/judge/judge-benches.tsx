import { KeyLink } from "@/ui/key-link";

const BENCHES = [
  { bench: "parts", keyName: "J", says: "Parts", path: "" },
  { bench: "train", keyName: "N", says: "Train", path: "/train" },
  { bench: "why", keyName: "Y", says: "Why", path: "/why" },
  { bench: "hardware", keyName: "K", says: "Hardware", path: "/hardware" },
] as const;

/** The places of Judge, a key apart, in the head of each. */
export function JudgeBenches({ number, at }: { number: string; at?: (typeof BENCHES)[number]["bench"] }) {
  return (
    <nav aria-label="Judge" className="flex gap-1.5">
      {BENCHES.map((b) => (
        <KeyLink key={b.bench} keyName={b.keyName} href={`/jobs/${number}/judge${b.path}`} current={b.bench === at} className="small">
          {b.says}
        </KeyLink>
      ))}
    </nav>
  );
}
