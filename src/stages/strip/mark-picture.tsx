"use client";

import { type PointerEvent, useRef, useState } from "react";
import { nextNumber, type PictureMark } from "@/core/job/picture-mark";
import { focusNow } from "@/ui/focus-now";
import { KeyButton } from "@/ui/key-button";
import { useClose, useKey } from "@/ui/keys";
import { Mark } from "@/ui/marks-overlay";

/** How far an arrow key moves a mark, as a share of the picture. */
const NUDGE = 0.02;

type Point = readonly [number, number];
/** What of a mark is in hand: an end of an arrow, or all of it from where it was taken. */
interface InHand {
  readonly mark: number;
  readonly end?: "from" | "to";
  readonly taken: Point;
  readonly was: PictureMark;
}

/**
 * Marks on a picture: each appears in the middle with one key, and is dragged, or moved with the arrow keys,
 * to where it belongs.
 */
export function MarkPicture({
  url,
  marks: kept,
  onSave,
  onClose,
}: {
  url: string;
  marks: readonly PictureMark[];
  onSave: (marks: readonly PictureMark[]) => void;
  onClose: () => void;
}) {
  useClose(onClose);
  const sheet = useRef<SVGSVGElement>(null);
  const [size, setSize] = useState<Point>([4, 3]);
  const [inHand, setInHand] = useState<InHand | null>(null);
  const [marks, setMarks] = useState<readonly PictureMark[]>(kept);
  const [picked, setPicked] = useState(kept.length - 1);
  const [word, setWord] = useState<string | null>(null);
  const [w, h] = [1000, (1000 * size[1]) / size[0]];
  const change = (next: readonly PictureMark[], pick = picked): void => {
    setMarks(next);
    setPicked(pick);
    onSave(next);
  };
  const add = (m: PictureMark): void => change([...marks, m], marks.length);
  const replace = (i: number, m: PictureMark): void =>
    change(
      marks.map((x, k) => (k === i ? m : x)),
      i,
    );
  const moved = (m: PictureMark, dx: number, dy: number): PictureMark => {
    const by = ([x, y]: Point): Point => [inside(x + dx), inside(y + dy)];
    return m.kind === "arrow" ? { ...m, from: by(m.from), to: by(m.to) } : { ...m, at: by(m.at) };
  };
  const nudge = (dx: number, dy: number): void => {
    const m = marks[picked];
    if (m) replace(picked, moved(m, dx, dy));
  };
  useKey("ArrowLeft", () => nudge(-NUDGE, 0));
  useKey("ArrowRight", () => nudge(NUDGE, 0));
  useKey("ArrowUp", () => nudge(0, -NUDGE));
  useKey("ArrowDown", () => nudge(0, NUDGE));
  const strike = (): void =>
    change(
      marks.filter((_, k) => k !== picked),
      Math.max(0, picked - 1),
    );
  useKey("Backspace", strike, marks.length > 0, "Strike the last mark");
  /** where the pointer is, as shares of the picture */
  const under = (e: { clientX: number; clientY: number }): Point => {
    const onScreen = sheet.current?.getScreenCTM();
    if (!onScreen) return [0.5, 0.5];
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(onScreen.inverse());
    return [at.x / w, at.y / h];
  };
  const take = (e: PointerEvent, i: number, end?: "from" | "to"): void => {
    const was = marks[i];
    if (!was) return;
    e.stopPropagation();
    sheet.current?.setPointerCapture(e.pointerId);
    setPicked(i);
    setInHand({ mark: i, taken: under(e), was, ...(end && { end }) });
  };
  const carried = (hand: InHand, to: Point): PictureMark =>
    hand.end && hand.was.kind === "arrow"
      ? { ...hand.was, [hand.end]: [inside(to[0]), inside(to[1])] }
      : moved(hand.was, to[0] - hand.taken[0], to[1] - hand.taken[1]);
  const letGo = (e: PointerEvent): void => {
    if (!inHand) return;
    const to = under(e);
    setInHand(null);
    if (to[0] !== inHand.taken[0] || to[1] !== inHand.taken[1]) replace(inHand.mark, carried(inHand, to));
  };
  return (
    <section
      aria-label="Marks on the picture"
      className="flex h-full min-h-0 flex-col border-2 border-base-content bg-[#10201f]"
    >
      <div className="relative min-h-0 flex-1 overflow-hidden">
        {/* biome-ignore lint/performance/noImgElement: the picture lies in the shop's folder, in its full
            size */}
        <img
          src={url}
          alt=""
          className="absolute inset-0 h-full w-full object-contain"
          onLoad={(e) => setSize([e.currentTarget.naturalWidth, e.currentTarget.naturalHeight])}
        />
        <svg
          ref={sheet}
          className="absolute inset-0 h-full w-full touch-none select-none"
          viewBox={`0 0 ${w} ${h}`}
          role="img"
          aria-label={marks.length === 1 ? "one mark" : `${marks.length} marks`}
          onPointerMove={(e) =>
            inHand && setMarks(marks.map((m, i) => (i === inHand.mark ? carried(inHand, under(e)) : m)))
          }
          onPointerUp={letGo}
          onPointerCancel={letGo}
        >
          {marks.map((m, i) => (
            <g
              key={i}
              className="cursor-grab"
              onPointerDown={(e) => take(e, i)}
              onWheel={(e) =>
                m.kind === "ring" &&
                replace(i, {
                  ...m,
                  radius: Math.min(0.45, Math.max(0.02, m.radius * (e.deltaY > 0 ? 0.9 : 1.1))),
                })
              }
            >
              <Mark mark={m} w={w} h={h} picked={i === picked} />
              {m.kind === "arrow" &&
                (["from", "to"] as const).map((end) => (
                  <circle
                    key={end}
                    cx={m[end][0] * w}
                    cy={m[end][1] * h}
                    r={40}
                    fill="transparent"
                    stroke={i === picked ? "#fdf8ee" : "none"}
                    strokeWidth={3}
                    onPointerDown={(e) => take(e, i, end)}
                  />
                ))}
            </g>
          ))}
        </svg>
      </div>
      {word !== null && (
        <input
          className="field"
          aria-label="Word on the picture"
          placeholder="flat faces motor"
          value={word}
          ref={focusNow}
          onChange={(e) => setWord(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Escape") {
              e.preventDefault();
              setWord(null);
            }
            if (e.key !== "Enter") return;
            if (word.trim()) add({ kind: "word", at: [0.5, 0.2], says: word.trim() });
            setWord(null);
          }}
        />
      )}
      <div className="flex flex-wrap gap-1.5 bg-base-100 p-1.5">
        <KeyButton
          keyName="1"
          className="small"
          onPress={() => add({ kind: "arrow", from: [0.25, 0.25], to: [0.5, 0.5] })}
        >
          Arrow
        </KeyButton>
        <KeyButton
          keyName="2"
          className="small"
          onPress={() => add({ kind: "ring", at: [0.5, 0.5], radius: 0.09 })}
        >
          Ring
        </KeyButton>
        <KeyButton
          keyName="3"
          className="small"
          onPress={() => add({ kind: "number", at: [0.5, 0.5], n: nextNumber(marks) })}
        >
          Number
        </KeyButton>
        <KeyButton keyName="4" className="small" onPress={() => setWord("")}>
          Word
        </KeyButton>
        <KeyButton className="small" onPress={strike} disabled={!marks.length}>
          Strike
        </KeyButton>
        <KeyButton keyName="X" className="small" onPress={onClose}>
          Close
        </KeyButton>
      </div>
    </section>
  );
}

const inside = (share: number): number => Math.round(Math.min(1, Math.max(0, share)) * 10_000) / 10_000;
