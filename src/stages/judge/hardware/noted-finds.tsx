import type { HardwareFind } from "@/core/job/reading";
import { percent } from "@/ui/odds";

/** What was named and noted on this job, the last first. */
export function NotedFinds({ finds }: { finds: readonly HardwareFind[] }) {
  return (
    <>
      <h2 className="pt-2 text-[24px]">Noted on this job</h2>
      <ul aria-label="Noted on this job">
        {[...finds].reverse().map((f) => (
          <li key={f.at} className="border-b-2 border-base-300 py-1 text-[19px]">
            <b>{f.name}</b>
            {f.sure !== undefined && `, ${percent(f.sure)} sure`}{" "}
            <span className="hush block text-[17px]">
              {f.from} · {f.source} · {f.at.slice(0, 16).replace("T", " ")}
            </span>
          </li>
        ))}
        {finds.length === 0 && <li className="hush text-[18px]">nothing yet</li>}
      </ul>
    </>
  );
}
