import { z } from "zod";
import { readWith } from "../fault";
import type { Freeing } from "./freed";
import { type HardwareFacts, hardwareInWords, isLoose } from "./piece";
import { type Doubt, quickLine, type Span, type Wire } from "./quick-line";

const lineInput = z.strictObject({ says: z.string().max(2000, "is longer than 2000 characters") });

/** A line as other programs are told it: `hardware line`. */
export interface LineAnswer {
  readonly pieces: readonly (Omit<HardwareFacts, "tighten"> & {
    readonly torqueNm?: number;
    readonly tightens?: string;
  })[];
  /** what was found or loosened, and did not come off as a piece: it stays with its part, or is debris */
  readonly beside: readonly HardwareFacts[];
  readonly facing: readonly string[];
  readonly marks: readonly string[];
  readonly wires: readonly Wire[];
  /** the first way of getting it free; the others behind it */
  readonly freed: Freeing | null;
  readonly alsoFreed: readonly Freeing[];
  /** what was not read, word for word */
  readonly note: string | null;
  /** tools that were said, with their sizes */
  readonly tools: readonly string[];
  /** what was said beside the pieces, word for word */
  readonly asides: readonly { readonly about: string; readonly says: string }[];
  /** parts that were named among the pieces */
  readonly parts: readonly string[];
  /** a left-hand thread that belongs to no piece */
  readonly leftHand: boolean;
  readonly doubts: readonly Doubt[];
  readonly read: readonly Span[];
}

/** Reads a line for the command line. Throws a Fault where the input is none. */
export function lineAnswer(input: unknown): LineAnswer {
  const said = quickLine(readWith(lineInput, input).says);
  const { hardware, freed, unread, facing, marks, wires, doubts, read, asides, parts, leftHand } = said;
  return {
    beside: hardware.filter((h) => !isLoose(h)),
    pieces: hardware.filter(isLoose).map(({ tighten, uncounted: _, ...piece }) => ({
      ...piece,
      ...(tighten?.torqueNm === undefined ? {} : { torqueNm: tighten.torqueNm }),
      ...(tighten?.feel === undefined ? {} : { tightens: tighten.feel }),
    })),
    facing,
    marks,
    wires,
    freed: freed[0] ?? null,
    alsoFreed: freed.slice(1),
    note:
      [
        ...unread.map((u) => u.text),
        ...parts,
        ...hardware.filter((h) => !isLoose(h)).map(hardwareInWords),
      ].join("; ") || null,
    tools: [...new Set(asides.flatMap((a) => a.tools ?? []))],
    asides: asides.map(({ about, says }) => ({ about, says })),
    parts,
    leftHand,
    doubts,
    read,
  };
}
