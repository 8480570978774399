"use client";

import type { FinalCheck } from "@/core/hand-back/final-check";
import { KeyButton } from "@/ui/key-button";
import { pictureUrl } from "@/ui/picture-frame";
import { SmallChoice } from "@/ui/small-choice";
import type { LooseItem } from "./hand-back-view";

/** What becomes of each thing that a check asks about: one press for each, its picture beside it. */
export function EndOfEach({
  check: { choices = [], each = [], agreed },
  pictures,
  ends,
  onEnd,
}: {
  check: FinalCheck;
  pictures: readonly LooseItem[];
  ends: Readonly<Record<string, string>>;
  onEnd: (ends: Record<string, string>) => void;
}) {
  const [first] = choices;
  const open = each.filter((e) => !(ends[e.item] ?? agreed));
  return (
    <>
      {first && open.length > 1 && (
        <KeyButton
          keyName="G"
          className="small self-start"
          onPress={() => onEnd({ ...ends, ...Object.fromEntries(open.map((e) => [e.item, first.answer])) })}
        >
          All of it {first.says}
        </KeyButton>
      )}
      <ul aria-label="What becomes of each" className="flex flex-col gap-2">
        {each.map(({ item, says }) => {
          const picture = pictures.find((p) => p.name === item)?.picture;
          const now = ends[item] ?? agreed;
          return (
            <li key={item} className="flex flex-wrap items-center gap-2 border-b-2 border-base-300 pb-2">
              {picture && (
                // biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder
                <img src={pictureUrl(picture, true)} alt="" className="h-[56px] w-[76px] object-cover" />
              )}
              <fieldset className="flex min-w-0 flex-1 flex-wrap items-center gap-2">
                <legend className="float-left min-w-[180px] pr-3 text-[21px]">{says}</legend>
                {choices.map((c) => (
                  <SmallChoice
                    key={c.answer}
                    pressed={now === c.answer}
                    onPress={() => onEnd({ ...ends, [item]: c.answer })}
                  >
                    {c.says}
                  </SmallChoice>
                ))}
              </fieldset>
            </li>
          );
        })}
      </ul>
    </>
  );
}
