/** Where a reading is typed. Enter sends it; a second Enter leaves the field, so that the keys work again. */
export function TypedReading({
  id,
  label,
  typed,
  onTyped,
  enter,
  wrong,
  onFocus,
  onBlur,
  className = "",
}: {
  id: string;
  /** where no label stands beside it */
  label?: string;
  typed: string;
  onTyped: (text: string) => void;
  enter: () => void;
  wrong: boolean;
  onFocus?: () => void;
  onBlur?: () => void;
  className?: string;
}) {
  return (
    <input
      id={id}
      aria-label={label}
      className={`field figure !min-h-[48px] !px-1.5 !text-[19px] ${className}`}
      inputMode="decimal"
      autoComplete="off"
      placeholder="type ↵"
      value={typed}
      aria-invalid={wrong ? true : undefined}
      onFocus={onFocus}
      onBlur={onBlur}
      onChange={(e) => onTyped(e.target.value)}
      onKeyDown={(e) => e.key === "Enter" && (typed.trim() ? enter() : e.currentTarget.blur())}
    />
  );
}
