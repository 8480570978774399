import { hardwareInWords, saidInWords } from "@/core/hardware/piece";
import { tightInWords } from "@/core/hardware/tightening";
import type { Holes } from "@/core/job/step";
import type { LineWords } from "@/core/rebuild/line-in-words";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { TighteningOrder } from "./tightening-order";

/** A piece as it goes in: what became of the old one is no word of the new. */
const asFitted = <P extends { readonly state?: unknown }>(piece: P): P => ({ ...piece, state: undefined });

/** How many screws a line draws. */
export const screwsOf = (words: LineWords): number =>
  words.hardware.filter((h) => h.kind === "screw").reduce((n, h) => n + h.qty, 0);

/** What a line says besides its title: how much, which pieces and how tight, what to mind, what can hurt. */
export function LineSays({
  words,
  cautions,
  holes,
  onStrike,
}: {
  words: LineWords;
  cautions: readonly string[];
  /** where its screws sit in the picture */
  holes?: Holes | undefined;
  /** strikes out what is usually minded, and is not so here */
  onStrike: (assembly: string) => void;
}) {
  return (
    <>
      {words.amount && (
        <p>
          <span className="figures text-[48px] leading-none">{words.amount.figure}</span>{" "}
          <span className="text-[24px]">{words.amount.unit}</span>
        </p>
      )}
      {(words.hardware.length > 0 || words.torqueNm !== undefined) && (
        <div className="flex items-center gap-6">
          <TighteningOrder count={screwsOf(words)} saidInARow={words.inARow === true} holes={holes} />
          <div className="flex flex-1 flex-wrap items-center gap-2">
            {words.torqueNm !== undefined && (
              <p className="w-full">
                <span className="figures text-[48px] leading-none">{words.torqueNm}</span>{" "}
                <span className="text-[24px]">N·m</span>
                {words.pattern && <span className="block text-[20px]">{words.pattern}</span>}
              </p>
            )}
            {words.hardware.map((h) => (
              <span key={h.id} className="chip">
                <HardwareGlyph kind={h.kind} drive={h.drive} />{" "}
                {words.torqueNm === undefined ? saidInWords(asFitted(h)) : hardwareInWords(asFitted(h))}
                {words.torqueNm !== undefined &&
                  h.tighten &&
                  tightInWords({ ...h.tighten, torqueNm: undefined })}
                {(h.once || h.state) && <b className="text-error">new</b>}
              </span>
            ))}
          </div>
        </div>
      )}
      {words.drawn?.map((d) => (
        <p key={d} className="says measured text-[22px]">
          {d}
        </p>
      ))}
      {words.passes && <p className="says measured text-[22px]">{words.passes}</p>}
      {words.facing && (
        <p className="says measured text-[22px]">
          ▼ Facing: <b>{words.facing}</b>
        </p>
      )}
      {words.mind.map((m, i) => (
        <p key={i} className="says measured text-[22px]">
          {m}
        </p>
      ))}
      {words.known?.map((k) => (
        <p key={k.says} className="says measured inferred flex items-start gap-2 text-[22px]">
          <span className="flex-1">{k.says}</span>
          <button
            type="button"
            className="-my-1 min-h-[44px] min-w-[44px] text-[26px] leading-none"
            aria-label={`Not so here: ${k.says}`}
            onClick={() => onStrike(k.assembly)}
          >
            ×
          </button>
        </p>
      ))}
      {words.stack.length > 1 && (
        <ol
          className="says measured list-inside list-decimal text-[20px]"
          aria-label="Stack, the lowest first"
        >
          {words.stack.map((piece, i) => (
            <li key={i}>{piece}</li>
          ))}
        </ol>
      )}
      {words.marks.map((m, i) => (
        <p key={i} className="says measured">
          ✎ Witness: {m}
        </p>
      ))}
      {words.wires.length > 0 && (
        <p className="says measured">Wires: {words.wires.map((w) => `${w.colour} → ${w.to}`).join(", ")}</p>
      )}
      {words.renewed.map((r, i) => (
        <p key={i} className="says good">
          {r}
        </p>
      ))}
      {cautions.map((c, i) => (
        <p key={i} className="says danger font-semibold">
          {c}
        </p>
      ))}
      {words.note && <p className="says">{words.note}</p>}
      {words.off && words.off.length > 0 && (
        <p className="hush measured text-[18px]">At the strip: {words.off.join("; ")}</p>
      )}
    </>
  );
}
