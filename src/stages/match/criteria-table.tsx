import { Check, HelpCircle, Link2, Wrench, X } from "lucide-react";
import type { Candidate } from "@/core/match/candidates/rank";
import type { CriterionVerdict } from "@/core/match/candidates/verdict";

const MARKS: Readonly<Record<CriterionVerdict, { icon: typeof Check; says: string; tone: string }>> = {
  same: { icon: Check, says: "same", tone: "text-success" },
  fits: { icon: Check, says: "fits", tone: "text-success" },
  companion: { icon: Link2, says: "with companion", tone: "text-base-content" },
  rework: { icon: Wrench, says: "rework", tone: "text-info" },
  settle: { icon: HelpCircle, says: "measure", tone: "text-info" },
  no: { icon: X, says: "no", tone: "text-error" },
};

/** Criterion by criterion: what is wanted, what is offered, and whether that will do. */
export function CriteriaTable({ criteria }: Pick<Candidate, "criteria">) {
  return (
    <div className="min-h-0 flex-1 overflow-y-auto">
      <table className="w-full table-fixed text-left text-[18px]">
        <colgroup>
          <col className="w-[122px]" />
          <col className="w-[98px]" />
          <col className="w-[98px]" />
          <col />
        </colgroup>
        <thead>
          <tr className="border-b-2 border-base-content">
            <th className="py-1">Criterion</th>
            <th>Wanted</th>
            <th>Offered</th>
            <th>Verdict, and why</th>
          </tr>
        </thead>
        <tbody>
          {criteria.map((c, i) => {
            // by its place: several may be of one name, as what comes with a part is
            const { icon: Icon, says, tone } = MARKS[c.verdict];
            return (
              <tr key={i} className="border-b-2 border-base-300 align-top">
                <th scope="row" className="py-1 pr-2 font-semibold">
                  {c.criterion}
                </th>
                <td className="figures pt-1.5 pr-2 text-[16px] break-words">{c.wanted}</td>
                <td className="figures pt-1.5 pr-2 text-[16px] break-words">{c.offered}</td>
                <td className="py-1">
                  <span className={`inline-flex items-center gap-1 font-bold ${tone}`}>
                    <Icon size={18} strokeWidth={3} aria-hidden="true" /> {says}
                  </span>
                  <span>: {c.says}</span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
