import type { ReactNode } from "react";

/** A probability as the bench says it: never 0 %, never 100 %. */
export const percent = (p: number): string =>
  p > 0.995 ? "99+ %" : p < 0.01 ? "< 1 %" : `${Math.round(p * 100)} %`;

/**
 * One possible answer with how likely it is, as a bar and in figures. The first of a list is the likeliest.
 */
export function Odds({
  probability,
  first = false,
  children,
}: {
  probability: number;
  first?: boolean;
  children: ReactNode;
}) {
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_150px_84px] items-center gap-3 border-b-2 border-base-300 text-[20px]">
      <span>{children}</span>
      <span className="h-[15px] bg-base-200" aria-hidden="true">
        <span
          className={`block h-full ${first ? "bg-success" : "bg-base-content"}`}
          style={{ width: `${Math.max(1, probability * 100)}%` }}
        />
      </span>
      <span className="figures text-right text-[24px]">{percent(probability)}</span>
    </li>
  );
}
