/** Where a PIN is typed: figures only, and not shown. Its label stands beside it. */
export function PinField({
  id,
  value,
  onType,
  isNew = false,
  onEnter,
}: {
  readonly id: string;
  readonly value: string;
  readonly onType: (pin: string) => void;
  /** it is being set, and not asked for */
  readonly isNew?: boolean;
  readonly onEnter?: () => void;
}) {
  return (
    <input
      id={id}
      type="password"
      inputMode="numeric"
      autoComplete={isNew ? "new-password" : "off"}
      className="field figure tracking-[0.3em]"
      maxLength={8}
      value={value}
      onChange={(e) => onType(e.target.value.replace(/\D/g, ""))}
      onKeyDown={(e) => e.key === "Enter" && onEnter?.()}
    />
  );
}
