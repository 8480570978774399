import { describe, expect, it } from "vitest";
import { jointsOf } from "@/core/assemblies/joints";
import { Fault } from "@/core/fault";
import { greasesTable } from "@/core/grease/grease-row";
import { bearingClosure } from "@/core/hardware/bench/bearing-closure";
import { bearingNamed, sharesTheGrease } from "@/core/hardware/bench/bearings";
import { lockerRefused } from "@/core/hardware/bench/locker";
import { makersFigure } from "@/core/hardware/bench/makers-figure";
import { capacitorMarked } from "@/core/hardware/bench/marked";
import { threadNamed } from "@/core/hardware/bench/threads";
import { completionOf } from "@/core/hardware/line/completion";
import { retaken, takenFor } from "@/core/hardware/line/retaken";
import { isPlastic } from "@/core/hardware/material";
import { partKindFrom } from "@/core/hardware/part-kind";
import { partLook } from "@/core/hardware/part-look";
import { quickLine } from "@/core/hardware/quick-line";
import { fromAddress, inAddress } from "@/core/job/address";
import { changeGoesIn, goesInSchema } from "@/core/job/goes-in";
import { serialOrder } from "@/core/match/candidates/fits-unit";
import { offersTable, partsTable, suppliersTable } from "@/core/match/catalogue/catalogue-row";
import { foldedNumber, numberMatch } from "@/core/match/catalogue/part-number";
import { likelyAction } from "@/core/order/likely-action";
import { sideOfCard } from "@/core/photo/scale-card";
import { readingKind } from "@/core/quantity/reading-kinds";
import { lengthFrom } from "@/core/quantity/units";
import { cautionsFor } from "@/core/safety/cautions";
import { proposedHazards } from "@/core/safety/hazards";
import { asHeading, flagFrom, numberFrom } from "@/core/table/cells";
import { dateCodeFrom, madeFrom } from "@/core/take-in/date-code";
import { initials, looseItemsFor } from "@/core/take-in/loose-items";
import { jobNumberFrom } from "@/core/take-in/tag-code";
import { guarded, unguarded } from "./csv";

/** A cell of a table of parts, read with all else in order. */
const inColumn = (column: string) => (text: string) =>
  partsTable.read({ number: "A", name: "a", kind: "gear", [column]: text });

/** Everything that reads what somebody typed, or a file brought. */
const READERS: Readonly<Record<string, (text: string) => unknown>> = {
  "the quick line": quickLine,
  "what each word was taken for": (t) => takenFor(t, quickLine(t).read).map((w) => retaken(t, w)).length,
  "the rest of a word": (t) => completionOf(t, [t]),
  "a maker's torque": makersFigure,
  "a capacitor's marks": capacitorMarked,
  "a bearing's suffix": bearingClosure,
  "how a part is drawn": (t) => partLook(t, undefined),
  "whether locker belongs there": lockerRefused,
  "a job's tag": jobNumberFrom,
  "a length": (t) => lengthFrom(t, "mm"),
  "a date code": dateCodeFrom,
  "a serial number by its date code": (t) => madeFrom(dateCodeFrom("1-2 year, 3-4 week"), t, 2026),
  "the order of serials": (t) => serialOrder(t, `${t}1`),
  "a kind of part": partKindFrom,
  "a material": isPlastic,
  "a bearing": bearingNamed,
  "a seal that was pulled": sharesTheGrease,
  "a thread": threadNamed,
  "what is likely done": (t) => likelyAction(t, []),
  "what to beware of": (t) => cautionsFor({ id: "s1", action: "pull", title: t }, [{ name: t }], "off"),
  "how a part is joined": (t) =>
    jointsOf({
      step: { id: "s1", action: "pull", title: t, note: t, said: t },
      parts: [{ id: "p1", name: t }],
      hardware: [{ id: "h1", kind: "pin", qty: 1, at: t }],
      behind: [],
      wired: false,
    }),
  "what can hurt": (t) => proposedHazards(t, {}),
  "loose items": looseItemsFor,
  initials,
  "a part's number": (t) => [numberMatch(t, `${t}1`), foldedNumber(t)],
  "what goes in with a part": (t) =>
    changeGoesIn(goesInSchema.parse({ number: "A", name: "a" }), { what: "also", says: t }),
  "a reading": readingKind,
  "a scale card": sideOfCard,
  "an address": (t) => fromAddress(inAddress(t)),
  "a heading": asHeading,
  "a number": (t) => numberFrom(t, "price"),
  "yes or no": (t) => flagFrom(t, "h1"),
  "a cell that goes out": guarded,
  "a cell that comes in": unguarded,
  fits: inColumn("fits"),
  replaces: inColumn("replaces"),
  needs_also: inColumn("needs_also"),
  contains: inColumn("contains"),
  stack: inColumn("stack"),
  teeth: inColumn("teeth"),
  "an offer": (t) => offersTable.read({ supplier: t, number: t, price: t, lead_days: t }),
  "a supplier": (t) => suppliersTable.read({ name: t, shipping: t }),
  "a grease": (t) => greasesTable.read({ name: t, thickener: t, base_oil: t, nlgi: t, from_c: t, to_c: t }),
};

/**
 * What makes a careless expression try everything: the piece that is repeated, and what may follow at the
 * end.
 */
const SHAPES: readonly (readonly [string, string])[] = [
  [" ", ""], [" ", "!"], ["1", "!"], ["1", "x"], ["1,", "x"], ["1.", "!"], ["a", "!"], ["a ", "!"],
  ["A1", "!"], ["(", ""], [")", ""], ["a:", "("], ["\\", ""], ["\\(", "("], ["\n", "!"],
  ["x ", "x"], ["1 x ", ""], ["m1x", " "], ["seal ", "pulled!"], ["'", "="], ["-", "!"], ["4xM4x16 ", "?"],
  ["a to ", "\n"], ["from ", "\n"], ["a/", ","], ["a;", "("], ["É", "!"], ["\u00a0", "1"],
  ["1 ", "year?"], ["st3.", "x"], ["608", "-2RS"], ["->", "a"],
]; // biome-ignore format: a list of little things

const ofLength = ([piece, end]: readonly [string, string], n: number): string =>
  piece.repeat(Math.ceil(n / piece.length)).slice(0, n - end.length) + end;

/** The least of three: what other programs take away on this machine is not its own. */
function quickest(work: () => unknown): number {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < 3; i++) {
    const from = performance.now();
    try {
      work();
    } catch (e) {
      if (!(e instanceof Fault)) throw e;
    }
    least = Math.min(least, performance.now() - from);
  }
  return least;
}
/** Below this, in ms, a ratio says nothing. */
const NOTHING = 4;

describe("what is ten times as long takes not much more than ten times as long to read:", () => {
  it.each(Object.entries(READERS))("%s", (_, read) => {
    const grows: string[] = [];
    for (const shape of SHAPES) {
      let before = NOTHING;
      for (const n of [10, 100, 1000, 10_000]) {
        const now = quickest(() => read(ofLength(shape, n)));
        // a square would make it a hundred times
        if (now > 40 * Math.max(before, NOTHING))
          grows.push(`${JSON.stringify(shape)} at ${n}: ${before.toFixed(1)} → ${now.toFixed(1)} ms`);
        if (now > 40 * Math.max(before, NOTHING)) break;
        before = now;
      }
    }
    expect(grows).toEqual([]);
  });
});
