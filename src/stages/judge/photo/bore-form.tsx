"use client";

import { useEffect, useMemo, useState } from "react";
import type { PhotoReader } from "@/bench/photo-reader";
import type { BoreForm } from "@/core/gear/bore-form";
import type { FacePlane, SeenBoreForm } from "@/core/photo/index";
import { percent } from "@/ui/odds";
import { SmallChoice } from "@/ui/small-choice";
import { useLatest } from "@/ui/use-latest";

/** A form this likely is offered as the answer; under it the technician says which. */
const PLAIN = 0.85;
/** A hub that stands up is nearer to the camera than the teeth: its bore is seen larger by about so much. */
const NEARER = 0.08;

/**
 * The size of a bore that is not round, by the form that fits it, in tip radii; across the flats where it has
 * some.
 */
export function boreByItsForm([first]: readonly SeenBoreForm[]): { share: number; u: number } | null {
  return first && first.probability >= PLAIN
    ? { share: first.share * (1 - NEARER), u: NEARER * first.share }
    : null;
}

/**
 * What the bore looks like: asked once for a ring; the plain answer is offered to be taken, unless somebody
 * has noted one already.
 */
export function useBoreForms(
  reader: PhotoReader,
  plane: FacePlane,
  noted: BoreForm | null,
  offer: (form: BoreForm | null) => void,
): { forms: Promise<readonly SeenBoreForm[]>; seen: readonly SeenBoreForm[] } {
  const forms = useMemo(
    () => reader.ask<readonly SeenBoreForm[]>({ ask: "bore-form", plane }).catch(() => []),
    [reader, plane],
  );
  const [seen, setSeen] = useState<readonly SeenBoreForm[]>([]);
  const latest = useLatest(offer);
  useEffect(() => {
    let wanted = true;
    void forms.then((found) => {
      if (!wanted) return;
      setSeen(found);
      const [first] = found;
      latest.current(first && first.probability >= PLAIN && !noted ? first.form : null);
    });
    return () => {
      wanted = false;
    };
  }, [forms, latest, noted]);
  return { forms, seen };
}

/** The likeliest forms, each with how likely it is; the pressed one goes with the count to the gear bench. */
export function BoreFormOffer({
  seen,
  noted,
  form,
  onForm,
}: {
  seen: readonly SeenBoreForm[];
  noted: BoreForm | null;
  form: BoreForm | null;
  onForm: (form: BoreForm | null) => void;
}) {
  if (!seen.length) return null;
  return (
    <fieldset>
      <legend className="words">
        Bore, by its edge{form ? "" : noted ? `: noted as ${noted}` : ": say which"}
      </legend>
      <div className="flex flex-wrap gap-1.5">
        {seen
          .filter((s, i) => i < 3 && s.probability > 0.02)
          .map((s) => (
            <SmallChoice
              key={s.form}
              pressed={form === s.form}
              onPress={() => onForm(form === s.form ? null : s.form)}
            >
              {s.form} {percent(s.probability)}
            </SmallChoice>
          ))}
      </div>
    </fieldset>
  );
}
