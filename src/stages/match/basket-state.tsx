import { KeyButton } from "@/ui/key-button";
import type { BasketSearch } from "./basket-search";

/** Where a basket would stand: that it is being searched for, and how far; why there is none; or that nothing is to be bought. */
export function BasketState({ search, says }: { search: BasketSearch | null; says: string | undefined }) {
  if (search === null) return <p className="says danger text-[22px]">Nothing to buy yet: choose the parts first.</p>;
  if (search.state === "found") return <p className="says danger text-[22px]">{says ?? "There is no complete set."}</p>;
  if (search.state === "searching")
    return (
      <div className="flex flex-col gap-3" role="status">
        <p className="text-[24px]">{search.says} …</p>
        <progress className="progress w-full" aria-label="The basket is being worked out" />
        {search.soFar && <p className="hush text-[20px]">A complete set is found; whether there is a cheaper one is being proven. Stop takes what there is.</p>}
        <KeyButton keyName="Z" className="self-start" onPress={search.stop}>
          Stop
        </KeyButton>
      </div>
    );
  return (
    <div className="flex flex-col gap-3">
      <p className="says danger text-[22px]">{search.state === "failed" ? search.says : "Stopped before a basket was found."}</p>
      <KeyButton keyName="Z" className="self-start" onPress={search.again}>
        Look again
      </KeyButton>
    </div>
  );
}
