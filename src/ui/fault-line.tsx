/** A sentence that says what was wrong, at the place where it came in. */
export const FaultLine = ({
  says,
  className = "text-[18px]",
}: {
  says: string | null | undefined;
  className?: string;
}) =>
  says ? (
    <p role="alert" className={`font-semibold text-error ${className}`}>
      {says}
    </p>
  ) : null;
