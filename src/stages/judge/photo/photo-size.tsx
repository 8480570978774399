"use client";

import { useState } from "react";
import type { PhotoReader } from "@/bench/photo-reader";
import type { BoreForm } from "@/core/gear/bore-form";
import { type FaceScale, faceSizes, type RingReading, type Spot } from "@/core/photo/index";
import type { Measured } from "@/core/quantity/measured";
import { saidBy, sentence } from "@/core/sentence";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { BoreFormOffer, boreByItsForm, useBoreForms } from "./bore-form";

const WAYS = [
  {
    way: "card",
    says: "Scale card",
    needs: 0,
    asks: null,
    tells: "Lay the printed card flat beside the gear, level with its face, all of its code in the picture.",
  },
  {
    way: "points",
    says: "Two points",
    needs: 2,
    asks: "Distance between them, mm",
    tells: "Press two points a known distance apart, level with the face.",
  },
  {
    way: "rule",
    says: "A rule",
    needs: 2,
    asks: "One division, mm",
    tells:
      "Press two points along the rule’s edge, across its lines: the divisions between them are counted.",
  },
  {
    way: "disc",
    says: "A coin or washer",
    needs: 1,
    asks: "Its diameter, mm",
    tells: "Press the middle of a disc that lies level with the face.",
  },
] as const;
export type SizeWay = (typeof WAYS)[number]["way"];
export const spotsFor = (way: SizeWay): number => WAYS.find((w) => w.way === way)?.needs ?? 0;

export interface PhotoSize {
  readonly what: "tip circle" | "root diameter" | "bore";
  readonly says: string;
  readonly value: number;
  readonly u: number;
}

const figure = (m: Measured): string =>
  `${m.value.toFixed(m.u > 0.5 ? 1 : 2)} ± ${m.u.toFixed(m.u > 0.5 ? 1 : 2)}`;

/**
 * How large it is: one thing of known length in the picture gives tip and root diameter, and the bore where
 * its edge is plain.
 */
export function PhotoSizes({
  reader,
  ring,
  way,
  setWay,
  close,
  spots,
  sizes,
  onSizes,
  notedBore,
  boreForm,
  onBoreForm,
}: {
  reader: PhotoReader;
  ring: RingReading;
  way: SizeWay;
  setWay: (way: SizeWay) => void;
  close: () => void;
  spots: readonly Spot[];
  sizes: readonly PhotoSize[];
  onSizes: (sizes: readonly PhotoSize[]) => void;
  notedBore: BoreForm | null;
  boreForm: BoreForm | null;
  onBoreForm: (form: BoreForm | null) => void;
}) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({ rule: "1" });
  const [says, setSays] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const chosen = WAYS.find((w) => w.way === way) as (typeof WAYS)[number];
  const mm = Number((typed[way] ?? "").trim().replace(",", "."));

  const { forms, seen } = useBoreForms(reader, ring.plane, notedBore, onBoreForm);

  const measure = async (): Promise<void> => {
    setFault(null);
    setSays(null);
    // what was measured before was measured otherwise
    onSizes([]);
    if (spots.length < chosen.needs)
      return setFault(`Press ${chosen.needs === 2 ? "two points" : "the disc"} in the picture first.`);
    if (chosen.asks && !(mm > 0 && mm < 1000))
      return setFault(`“${typed[way] ?? ""}” is no length: type millimetres, like 10 or 23.25.`);
    const plane = ring.plane;
    const [a, b] = spots as [Spot, Spot];
    try {
      const scale = await (way === "card"
        ? reader.ask<FaceScale>({ ask: "card", plane })
        : way === "disc"
          ? reader.ask<FaceScale>({ ask: "disc", plane, at: a, mm })
          : way === "rule"
            ? reader.ask<FaceScale & { divisions: number }>({ ask: "rule", plane, a, b, divisionMm: mm })
            : reader.ask<FaceScale>({ ask: "points", plane, a, b, mm }));
      const { tipDiameter, rootDiameter } = faceSizes(ring, scale);
      const bore =
        (await reader.ask<{ share: number; u: number } | null>({ ask: "bore", plane })) ??
        boreByItsForm(await forms);
      onSizes([
        { what: "tip circle", says: "Tip circle", ...tipDiameter },
        { what: "root diameter", says: "Root", ...rootDiameter },
        ...(bore
          ? [
              {
                what: "bore" as const,
                says: "Bore, about",
                value: 2 * bore.share * scale.value,
                u: 2 * scale.value * Math.hypot(bore.u, (bore.share * scale.u) / scale.value),
              },
            ]
          : []),
      ]);
      if ("divisions" in scale)
        setSays(`${(scale.divisions as number).toFixed(1)} divisions between the marks`);
    } catch (e) {
      setFault(sentence(saidBy(e)));
    }
  };
  return (
    <section aria-label="Size" className="flex flex-col gap-1.5">
      <div className="flex items-center justify-between">
        <h2 className="text-[22px]">How large?</h2>
        <KeyButton keyName="Z" className="small" onPress={close}>
          Done
        </KeyButton>
      </div>
      {/* what came out, or what was wrong, stands first, so that it is seen without scrolling */}
      <FaultLine says={fault} />
      {sizes.length > 0 && (
        <dl
          aria-label="Sizes from the picture"
          className="grid grid-cols-[auto_minmax(0,1fr)] items-baseline gap-x-3"
        >
          {sizes.map((s) => (
            <div key={s.what} className="contents">
              <dt className="text-[18px]">{s.says}</dt>
              <dd className="figures text-[26px] leading-tight whitespace-nowrap">
                {figure(s)} <span className="text-[17px]">mm</span>
              </dd>
            </div>
          ))}
        </dl>
      )}
      <BoreFormOffer seen={seen} noted={notedBore} form={boreForm} onForm={onBoreForm} />
      <div className="grid grid-cols-2 gap-1.5">
        {WAYS.map((w, i) => (
          <KeyButton
            key={w.way}
            keyName={String(i + 5)}
            className="small"
            pressed={way === w.way}
            onPress={() => setWay(w.way)}
          >
            {w.says}
          </KeyButton>
        ))}
      </div>
      <p className="text-[18px] leading-snug">
        {chosen.tells}{" "}
        {way === "card" && (
          <a className="underline" href="/api/scale-card" target="_blank" rel="noreferrer">
            Print one (PDF).
          </a>
        )}
      </p>
      <div className="flex items-end gap-2">
        {chosen.asks && (
          <div className="w-[150px]">
            <label className="words" htmlFor="size-mm">
              {chosen.asks}
            </label>
            <input
              id="size-mm"
              className="field figure"
              inputMode="decimal"
              value={typed[way] ?? ""}
              onChange={(e) => setTyped({ ...typed, [way]: e.target.value })}
              onKeyDown={(e) => e.key === "Enter" && void measure()}
            />
          </div>
        )}
        <KeyButton keyName="S" onPress={() => void measure()}>
          Measure
        </KeyButton>
      </div>
      {says && <p className="hush text-[18px]">{says}</p>}
    </section>
  );
}
