"use client";

import { useState } from "react";

/** A figure from 0 to a limit, as it is typed; one beyond it is said and not taken. */
export function FigureWithin({
  label,
  name,
  placeholder,
  value,
  max,
  onFigure,
  onFault,
}: {
  label: string;
  /** as the refusal calls it */
  name: string;
  placeholder: string;
  value: number | undefined;
  max: number;
  onFigure: (said: number | undefined) => void;
  onFault: (says: string | null) => void;
}) {
  const [wrong, setWrong] = useState(false);
  return (
    <label className="words">
      {label}
      <input
        className="field figure"
        inputMode="decimal"
        placeholder={placeholder}
        defaultValue={value ?? ""}
        aria-invalid={wrong ? true : undefined}
        onChange={(e) => {
          const said = e.target.value.trim().replace(",", ".");
          const figure = Number(said);
          const beyond = said !== "" && !(figure >= 0 && figure <= max);
          setWrong(beyond);
          onFault(beyond ? `${name} lie between 0 and ${max}.` : null);
          if (!beyond) onFigure(said === "" ? undefined : figure);
        }}
      />
    </label>
  );
}
