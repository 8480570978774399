"use client";

export interface ChooseProps<T extends string> {
  label: string;
  /** the label stands elsewhere, and is only read out */
  quiet?: boolean;
  options: readonly (readonly [value: T, says: string])[];
  /** none of the options: `none` is shown, or nothing */
  value: T | undefined;
  /** what stands for none of them; left out: one of them is always chosen */
  none?: string;
  onChoose: (value: T | undefined) => void;
  disabled?: boolean;
  className?: string;
}

/** One of a list, where there are too many for chips. */
export function Choose<T extends string>({
  label,
  quiet = false,
  options,
  value,
  none,
  onChoose,
  disabled,
  className = "",
}: ChooseProps<T>) {
  const select = (
    <select
      aria-label={label}
      className="field !text-[18px]"
      disabled={disabled}
      value={value ?? ""}
      onChange={(e) => onChoose(options.find(([v]) => v === e.target.value)?.[0])}
    >
      {(none !== undefined || value === undefined) && <option value="">{none ?? ""}</option>}
      {options.map(([v, says]) => (
        <option key={v} value={v}>
          {says}
        </option>
      ))}
    </select>
  );
  return quiet ? (
    select
  ) : (
    <div className={className}>
      <span className="words">{label}</span>
      {select}
    </div>
  );
}
