"use client";

import { line } from "d3";
import { type PointerEvent, useRef, useState } from "react";
import type { Signature } from "@/core/job/going-home";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sign } from "./actions";

type Point = readonly [number, number];
const WIDTH = 600;
const HEIGHT = 122;
/** A hand that rests is no new point, share of the field. */
const LEAST_MOVE = 0.003;

const drawn = line<Point>(
  ([x]) => x * WIDTH,
  ([, y]) => y * HEIGHT,
);

/** A field to sign in, with finger, pen or mouse. */
export function SignaturePad({ name, onClose }: { name: string; onClose: () => void }) {
  const { run } = useJob();
  const fault = useFieldFault();
  useClose(onClose);
  const [by, setBy] = useState(name);
  const [strokes, setStrokes] = useState<Signature["strokes"]>([]);
  const drawing = useRef(false);
  const at = (e: PointerEvent<SVGSVGElement>): Point => {
    const box = e.currentTarget.getBoundingClientRect();
    const share = (x: number): number => Math.round(Math.max(-0.1, Math.min(1.1, x)) * 1000) / 1000;
    return [share((e.clientX - box.left) / box.width), share((e.clientY - box.top) / box.height)];
  };
  const begin = (e: PointerEvent<SVGSVGElement>): void => {
    // the browser must not take it for a scroll or a selection
    e.preventDefault();
    e.currentTarget.setPointerCapture(e.pointerId);
    drawing.current = true;
    const p = at(e);
    setStrokes((s) => [...s, [[...p]]]);
  };
  const move = (e: PointerEvent<SVGSVGElement>): void => {
    if (!drawing.current) return;
    const p = at(e);
    setStrokes((s) => {
      const last = s.at(-1) ?? [];
      const end = last.at(-1);
      if (end && Math.hypot(end[0] - p[0], end[1] - p[1]) < LEAST_MOVE) return s;
      return [...s.slice(0, -1), [...last, [...p]]];
    });
  };
  const end = (): void => {
    drawing.current = false;
  };
  const done = async (): Promise<void> => {
    if (fault.took(await run(sign, { signature: { by, strokes } }))) onClose();
  };
  return (
    <section
      aria-label="Signature"
      className="flex flex-col gap-2 border-l-[6px] border-primary bg-base-200 p-3"
    >
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full touch-none border-2 border-base-content bg-base-100"
        role="img"
        aria-label="Sign here"
        onPointerDown={begin}
        onPointerMove={move}
        onPointerUp={end}
        onPointerCancel={end}
      >
        <line
          x1={30}
          x2={WIDTH - 30}
          y1={HEIGHT - 26}
          y2={HEIGHT - 26}
          className="stroke-base-300"
          strokeWidth={2}
        />
        {strokes.map((s, i) => (
          <path
            key={i}
            d={drawn([...s]) ?? ""}
            fill="none"
            className="stroke-base-content"
            strokeWidth={3}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        ))}
      </svg>
      <div className="grid grid-cols-[minmax(0,1fr)_auto_auto] items-end gap-2">
        <label className="words">
          Name
          <input className="field" value={by} maxLength={80} onChange={(e) => setBy(e.target.value)} />
        </label>
        <KeyButton className="small" disabled={!strokes.length} onPress={() => setStrokes([])}>
          Anew
        </KeyButton>
        <KeyButton look="main" disabled={!strokes.length || !by.trim()} onPress={() => void done()}>
          Signed
        </KeyButton>
      </div>
      <FaultLine says={fault.elsewhere()} />
    </section>
  );
}
