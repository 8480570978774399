import { partGlyph } from "./glyph-paths";

/** A drawn outline for a part that has no picture. */
export function PartGlyph({ kind, size = 56 }: { kind: string | undefined; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 48 48"
      className="glyph"
      strokeWidth="1.6"
      aria-hidden="true"
    >
      <use href={partGlyph(kind)} />
    </svg>
  );
}
