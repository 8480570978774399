import type { BasketInput } from "@/core/match/basket/basket-input";
import { money } from "@/core/quantity/money";
import { KeyButton } from "@/ui/key-button";
import type { BasketSearch } from "./basket-search";

/**
 * Where a basket would stand: that it is being searched for, and how far; why there is none; or that nothing
 * is to be bought.
 */
export function BasketState({ search, says }: { search: BasketSearch | null; says: string | undefined }) {
  if (search === null)
    return <p className="says danger text-[22px]">Nothing to buy yet: choose the parts first.</p>;
  if (search.state === "found")
    return <p className="says danger text-[22px]">{says ?? "There is no complete set."}</p>;
  if (search.state === "searching")
    return (
      <div className="flex flex-col gap-3" role="status">
        <p className="text-[24px]">{search.says} …</p>
        <progress className="progress w-full" aria-label="The basket is being worked out" />
        {search.soFar && (
          <p className="hush text-[20px]">
            A complete set is found; whether there is a better one is still looked for. Stop takes what there
            is.
          </p>
        )}
        <KeyButton keyName="Z" className="self-start" onPress={search.stop}>
          Stop
        </KeyButton>
      </div>
    );
  return (
    <div className="flex flex-col gap-3">
      <p className="says danger text-[22px]">
        {search.state === "failed" ? search.says : "Stopped before a basket was found."}
      </p>
      <KeyButton keyName="Z" className="self-start" onPress={search.again}>
        Look again
      </KeyButton>
    </div>
  );
}

/** What is not known of a set because the search for it was stopped. */
export function StoppedSet({
  aim,
  upTo,
  currency,
  again,
}: {
  aim: BasketInput["aim"];
  upTo: number;
  currency: string;
  again: () => void;
}) {
  const sooner =
    aim === "least cost" ? "whether one at this price is had sooner" : "whether one is had sooner";
  return (
    <div className="flex items-center gap-3 py-1">
      <p className="says grow text-[20px]">
        {upTo > 0
          ? `Stopped before it was proven: a complete set may cost up to ${money(upTo, currency)} less${aim === "least cost" ? "" : ", or be had sooner"}.`
          : `Stopped: no complete set is cheaper; ${sooner} was not looked at to the end.`}
      </p>
      <KeyButton keyName="Z" className="small" onPress={again}>
        Look again
      </KeyButton>
    </div>
  );
}
