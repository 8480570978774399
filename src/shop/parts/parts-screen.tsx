"use client";

import { useEffect, useRef, useState } from "react";
import { type AboutPart, aboutPart, type FoundParts, foundParts } from "@/core/match/catalogue/found-parts";
import { specInWords } from "@/core/match/catalogue/spec-in-words";
import { priceSaid } from "@/core/quantity/money";
import { askShop, whatFailed } from "@/ui/ask-shop";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { PartGlyph } from "@/ui/part-glyph";
import { ShopHead } from "../shop-head";
import { PartSheet } from "./part-sheet";

/** More than anybody scrolls through; another word finds better. */
const MOST_SHOWN = 1000;

/**
 * The catalogue: type, and it is there; arrows go through what was found, the sheet beside it says everything
 * about the one that is marked.
 */
export function PartsScreen({
  first,
  count,
  currency,
  asked,
}: {
  first: FoundParts;
  count: number;
  currency: string;
  asked: string;
}) {
  const [typed, setTyped] = useState(asked);
  const [{ parts: found, total, more }, setFound] = useState(first);
  const [at, setAt] = useState(0);
  const [about, setAbout] = useState<AboutPart | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const list = useRef<HTMLUListElement>(null);
  const looked = useRef(0);
  const marked = found[at];

  const look = async (words: string, max = 50): Promise<void> => {
    setTyped(words);
    const turn = ++looked.current;
    try {
      const parts = await askShop(`/api/parts?q=${encodeURIComponent(words)}&max=${max}`, foundParts);
      // a slower answer to an older question is no longer wanted
      if (turn !== looked.current) return;
      setFound(parts ?? { parts: [], total: 0, more: false });
      if (max === 50) setAt(0);
      setFault(null);
      window.history.replaceState(null, "", words ? `/parts?q=${encodeURIComponent(words)}` : "/parts");
    } catch (e) {
      if (turn === looked.current)
        setFault(whatFailed(e, "Not looked up", "What is shown may be out of date."));
    }
  };
  useEffect(() => {
    if (!marked) return setAbout(null);
    let gone = false;
    askShop(`/api/parts/about?number=${encodeURIComponent(marked.number)}`, aboutPart).then(
      (told) => !gone && setAbout(told),
      (e) => !gone && setFault(whatFailed(e, "Not looked up", "What is shown may be out of date.")),
    );
    return () => {
      gone = true;
    };
  }, [marked]);
  const go = (by: number): void => {
    const next = Math.max(0, Math.min(found.length - 1, at + by));
    setAt(next);
    list.current?.children[next]?.scrollIntoView({ block: "nearest" });
  };
  return (
    <div className="grid h-[calc(100dvh-var(--foot,0px))] min-w-[1000px] grid-rows-[auto_minmax(0,1fr)]">
      <ShopHead title="Catalogue" back={{ href: "/", says: "The board" }}>
        <input
          // biome-ignore lint/a11y/noAutofocus: the screen is for searching
          autoFocus
          type="search"
          className="field min-w-0 flex-1 text-[26px]"
          aria-label="Look for"
          placeholder="number, name, size, or the unit it is for"
          value={typed}
          onChange={(e) => void look(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "ArrowDown") go(1);
            else if (e.key === "ArrowUp") go(-1);
            else if (e.key === "Escape" && typed) void look("");
            else return;
            e.preventDefault();
            e.stopPropagation();
          }}
        />
        <span className="hush text-[19px] whitespace-nowrap">{count.toLocaleString("en")} in all</span>
        <KeyLink href="/parts/part">New part</KeyLink>
        <KeyLink href="/parts/tables">Tables in and out</KeyLink>
      </ShopHead>
      <main className="grid min-h-0 grid-cols-[minmax(0,6fr)_minmax(0,5fr)]">
        <section aria-label="Found" className="flex min-h-0 flex-col border-r-2 border-base-300">
          {fault && (
            <p role="alert" className="says danger">
              {fault}
            </p>
          )}
          {found.length === 0 && (
            <p className="p-5 text-[24px]">
              {typed.trim()
                ? "Nothing matches. Try fewer characters, the size as three figures, or the unit; a number is also found with O for 0 and I for 1."
                : "The catalogue is empty. Take a table in, or put a part in by hand."}
            </p>
          )}
          <ul ref={list} aria-label="Parts found" className="min-h-0 flex-1 overflow-y-auto">
            {found.map((p, i) => (
              <li key={p.number}>
                <button
                  type="button"
                  aria-pressed={i === at}
                  onClick={() => setAt(i)}
                  className={`grid min-h-[62px] w-full grid-cols-[44px_minmax(0,1fr)_auto] items-center gap-3 border-b-2 border-base-300 px-4 py-1.5 text-left ${i === at ? "border-l-8 border-l-primary bg-base-200 pl-2" : ""}`}
                >
                  <PartGlyph kind={p.spec.kind} size={40} />
                  <span className="min-w-0">
                    <span className="flex items-baseline gap-3">
                      <span className="figures text-[18px] whitespace-nowrap">{p.number}</span>
                      <span className="truncate text-[20px] font-semibold">{p.name}</span>
                    </span>
                    <span className="hush block truncate text-[18px]">
                      {specInWords(p.spec) || p.spec.kind}
                    </span>
                  </span>
                  <span className="text-right">
                    <span className="figures block text-[19px]">{priceSaid(p.price, currency)}</span>
                    <span
                      className={`block text-[17px] ${p.stock ? "" : p.discontinued ? "font-semibold text-error" : "hush"}`}
                    >
                      {p.stock ? `${p.stock} in the drawer` : p.discontinued ? "✕ discontinued" : "to order"}
                    </span>
                  </span>
                </button>
              </li>
            ))}
          </ul>
          {(more || found.length < total) && (
            <div className="flex items-center justify-between gap-3 border-t-2 border-base-300 px-4 py-1.5 text-[19px]">
              <span>
                The first {found.length.toLocaleString("en")} of {more && "more than "}
                {total.toLocaleString("en")}.
              </span>
              {found.length < MOST_SHOWN ? (
                <KeyButton className="small" onPress={() => void look(typed, found.length + 50)}>
                  Show more
                </KeyButton>
              ) : (
                <span className="hush">Add a word to narrow it down.</span>
              )}
            </div>
          )}
        </section>
        <section aria-label="The part" className="min-h-0 overflow-y-auto p-5">
          {about && <PartSheet about={about} currency={currency} look={(n) => void look(n)} />}
        </section>
      </main>
    </div>
  );
}
