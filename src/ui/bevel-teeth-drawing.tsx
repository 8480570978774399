import { BEVEL_TEETH, type BevelTeeth } from "@/core/gear/gear-kind";

/** Half of the cone's angle as it is drawn, and how far in and out the face reaches. */
const [FROM, TO] = [9, 27];
const COUNT = 7;

/** A tooth line from the small end to the large: at share t of the face it has turned by so many degrees. */
const TURNED: Readonly<Record<BevelTeeth, (t: number) => number>> = {
  straight: () => 0,
  // it turns all the way, the more the further in
  spiral: (t) => 34 * (1 - t) ** 1.2,
  // bent, and back where it began
  zerol: (t) => 15 * (4 * t * (1 - t)),
};

const line = (teeth: BevelTeeth, at: number): string =>
  Array.from({ length: 9 }, (_, i) => {
    const t = i / 8;
    const r = FROM + (TO - FROM) * t;
    const a = ((at + TURNED[teeth](t)) * Math.PI) / 180;
    return `${i ? "L" : "M"}${(30 + r * Math.sin(a)).toFixed(1)} ${(33 - r * Math.cos(a)).toFixed(1)}`;
  }).join("");

/** How the teeth of a bevel run, seen along its axis; the three side by side while it is not said. */
export function BevelTeethDrawing({ teeth }: { teeth: BevelTeeth | undefined }) {
  const shown = teeth ? [teeth] : BEVEL_TEETH;
  return (
    <span className="inline-flex" aria-hidden="true">
      {shown.map((b) => (
        <svg
          key={b}
          width={teeth ? 44 : 34}
          height={teeth ? 30 : 24}
          viewBox="0 0 60 38"
          fill="none"
          stroke="currentColor"
          strokeWidth="2.6"
        >
          {Array.from({ length: COUNT }, (_, i) => (
            <path key={i} d={line(b, -75 + (150 * i) / (COUNT - 1))} />
          ))}
        </svg>
      ))}
    </span>
  );
}
