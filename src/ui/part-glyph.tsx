/** A drawn outline for a part that has no picture. 48 × 48, stroked. */
const teeth = Array.from({ length: 12 }, (_, i) => {
  const p = (r: number, a: number): string => `${(24 + r * Math.sin((a * Math.PI) / 180)).toFixed(1)} ${(24 - r * Math.cos((a * Math.PI) / 180)).toFixed(1)}`;
  const a = i * 30;
  return `${i ? "L" : "M"}${p(15, a - 11)}L${p(20, a - 6)}L${p(20, a + 6)}L${p(15, a + 11)}`;
}).join("");

const PATHS: Readonly<Record<string, string>> = {
  gear: `${teeth}Z M24 18a6 6 0 100 12 6 6 0 000-12z`,
  bearing:
    "M24 6a18 18 0 100 36 18 18 0 000-36z M24 17a7 7 0 100 14 7 7 0 000-14z M24 11.5v.1M36.5 24h.1M11.5 24h.1M24 36.5v.1M32.8 15.2h.1M15.2 15.2h.1M32.8 32.8h.1M15.2 32.8h.1",
  seal: "M24 6a18 18 0 100 36 18 18 0 000-36z M24 12a12 12 0 100 24 12 12 0 000-24z M24 15a9 9 0 100 18 9 9 0 000-18z",
  "o-ring": "M24 7a17 17 0 100 34 17 17 0 000-34z M24 11a13 13 0 100 26 13 13 0 000-26z",
  gasket: "M8 8h32v32H8z M14 14h20v20H14z",
  cover: "M6 14h36v20H6z M13 18h22v12H13z M9.5 17.500v.1M38.500 17.500v.1M9.500 30.500v.1M38.500 30.500v.1",
  motor: "M10 14h24v20H10z M34 20h4v8h-4z M38 22.500h6v3h-6z M14 14v20M18 14v20M22 14v20M26 14v20",
  blade: "M4 28L44 16 44 24 10 34z",
  housing: "M6 12h36v24H6z M6 18h36",
  bush: "M24 8a16 16 0 100 32 16 16 0 000-32z M24 15a9 9 0 100 18 9 9 0 000-18z M24 8v7M24 33v7",
  shaft: "M4 20h8v8H4z M12 17h22v14H12z M34 20h10v8H34z M16 17v14",
  kit: "M6 16h36v22H6z M6 16l6-8h24l6 8 M20 16v6h8v-6",
  pin: "M6 20h34l3 4-3 4H6z",
  circlip: "M17 10a16 16 0 1014 0 M17 10v6M31 10v6",
  belt: "M16 14h16a10 10 0 010 20H16a10 10 0 010-20z M16 18h16a6 6 0 010 12H16a6 6 0 010-12z",
  switch: "M8 20h32v14H8z M17 20l4-9h7l3 9 M14 34v5M24 34v5M34 34v5",
  hardware: "M7 15h10v18H7z M17 20h24v8H17z M23 20v8M28 20v8M33 20v8M38 20v8",
  consumable: "M13 18h22v22H13z M20 9h8v9h-8z M13 25h22",
  brush: "M16 10h16v18H16z M24 28c0 8 6 4 6 12",
};

export function PartGlyph({ kind, size = 56 }: { kind: string | undefined; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 48 48"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      <path d={PATHS[kind ?? ""] ?? PATHS.housing} />
    </svg>
  );
}
