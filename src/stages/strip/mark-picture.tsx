"use client";

import type Konva from "konva";
import { useEffect, useRef, useState } from "react";
import { Arrow, Circle, Group, Image as KonvaImage, Label, Layer, Stage, Tag, Text } from "react-konva";
import { nextNumber, type PictureMark } from "@/core/job/picture-mark";
import { focusNow } from "@/ui/focus-now";
import { KeyButton } from "@/ui/key-button";
import { useClose, useKey } from "@/ui/keys";

const VERMILION = "#d8401f";
const PAPER = "#fdf8ee";
/** How far an arrow key moves a mark, as a share of the picture. */
const NUDGE = 0.02;

type Point = readonly [number, number];

/** Marks on a picture: each appears in the middle with one key, and is dragged, or moved with the arrow keys, to where it belongs. */
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
  const place = useRef<HTMLDivElement>(null);
  const [image, setImage] = useState<HTMLImageElement | null>(null);
  const [room, setRoom] = useState<Point>([560, 360]);
  const [marks, setMarks] = useState<readonly PictureMark[]>(kept);
  const [picked, setPicked] = useState(kept.length - 1);
  const [word, setWord] = useState<string | null>(null);
  useEffect(() => {
    const loaded = new window.Image();
    loaded.onload = () => setImage(loaded);
    loaded.src = url;
  }, [url]);
  useEffect(() => {
    const el = place.current;
    if (!el) return;
    const watch = new ResizeObserver(() => setRoom([el.clientWidth, el.clientHeight]));
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  const [iw, ih] = [image?.naturalWidth ?? 4, image?.naturalHeight ?? 3];
  const scale = Math.min(room[0] / iw, room[1] / ih);
  const [w, h] = [iw * scale, ih * scale];
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
  const dropped = (e: Konva.KonvaEventObject<DragEvent>): Point => [inside(e.target.x() / w), inside(e.target.y() / h)];
  return (
    <section aria-label="Marks on the picture" className="flex h-full min-h-0 flex-col border-2 border-base-content bg-[#10201f]">
      <div
        ref={place}
        role="img"
        aria-label={marks.length === 1 ? "one mark" : `${marks.length} marks`}
        className="flex min-h-0 flex-1 items-center justify-center overflow-hidden"
      >
        <Stage width={w} height={h}>
          <Layer>
            {image && <KonvaImage image={image} width={w} height={h} />}
            {marks.map((m, i) => {
              const on = i === picked;
              const shared = { onPointerDown: () => setPicked(i), shadowColor: PAPER, shadowBlur: on ? 6 : 0 };
              if (m.kind === "arrow")
                return (
                  <Group key={i}>
                    <Arrow
                      points={[m.from[0] * w, m.from[1] * h, m.to[0] * w, m.to[1] * h]}
                      stroke={VERMILION}
                      fill={VERMILION}
                      strokeWidth={6}
                      pointerLength={20}
                      pointerWidth={20}
                      hitStrokeWidth={30}
                      {...shared}
                    />
                    {(["from", "to"] as const).map((end) => (
                      <Circle
                        key={end}
                        x={m[end][0] * w}
                        y={m[end][1] * h}
                        radius={on ? 13 : 9}
                        hitStrokeWidth={26}
                        stroke={PAPER}
                        strokeWidth={2}
                        fill={end === "from" ? VERMILION : "transparent"}
                        draggable
                        {...shared}
                        onDragMove={(e) => setMarks(marks.map((x, k) => (k === i ? { ...m, [end]: dropped(e) } : x)))}
                        onDragEnd={(e) => replace(i, { ...m, [end]: dropped(e) })}
                      />
                    ))}
                  </Group>
                );
              if (m.kind === "ring")
                return (
                  <Circle
                    key={i}
                    x={m.at[0] * w}
                    y={m.at[1] * h}
                    radius={m.radius * w}
                    stroke={VERMILION}
                    strokeWidth={6}
                    hitStrokeWidth={30}
                    draggable
                    {...shared}
                    onDragEnd={(e) => replace(i, { ...m, at: dropped(e) })}
                    onWheel={(e) => replace(i, { ...m, radius: Math.min(0.45, Math.max(0.02, m.radius * (e.evt.deltaY > 0 ? 0.9 : 1.1))) })}
                  />
                );
              return (
                <Label key={i} x={m.at[0] * w} y={m.at[1] * h} draggable {...shared} onDragEnd={(e) => replace(i, { ...m, at: dropped(e) })}>
                  <Tag fill={VERMILION} stroke={PAPER} strokeWidth={on ? 3 : 1} cornerRadius={m.kind === "number" ? 18 : 3} />
                  <Text
                    text={m.kind === "number" ? ` ${m.n} ` : m.says}
                    fontSize={22}
                    fontStyle="bold"
                    padding={6}
                    fill={PAPER}
                    fontFamily="Barlow Condensed"
                  />
                </Label>
              );
            })}
          </Layer>
        </Stage>
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
        <KeyButton keyName="1" className="small" onPress={() => add({ kind: "arrow", from: [0.25, 0.25], to: [0.5, 0.5] })}>
          Arrow
        </KeyButton>
        <KeyButton keyName="2" className="small" onPress={() => add({ kind: "ring", at: [0.5, 0.5], radius: 0.09 })}>
          Ring
        </KeyButton>
        <KeyButton keyName="3" className="small" onPress={() => add({ kind: "number", at: [0.5, 0.5], n: nextNumber(marks) })}>
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
