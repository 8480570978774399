import type { ReactNode } from "react";

export interface ReadoutProps {
  label: string;
  value: string;
  unit?: string;
  /** the spread, and where it came from */
  from?: string;
  measured?: boolean;
  children?: ReactNode;
  className?: string;
}

/** A measuring value as on a caliper: big figures, the unit, the spread behind it, where it came from. */
export function Readout({ label, value, unit, from, measured, children, className = "" }: ReadoutProps) {
  return (
    <div
      className={`border-t-4 bg-base-200 px-3 py-1.5 ${measured ? "border-info" : "border-base-content"} ${className}`}
    >
      <div className="flex items-start justify-between gap-2">
        <span className="text-[18px] font-semibold">{label}</span>
        {children}
      </div>
      <div className="flex items-baseline gap-3">
        <output className="figures text-[34px] leading-tight" aria-label={label}>
          {value}
        </output>
        {unit && <span className="text-[20px]">{unit}</span>}
      </div>
      {from && <div className="hush text-[17px]">{from}</div>}
    </div>
  );
}
