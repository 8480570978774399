import { LEDGER_ROWS } from "../hardware/kinds";
import { type Hardware, isOut } from "../hardware/piece";
import type { Part } from "../job/part";
import { type PieceRef, samePiece } from "../job/piece-ref";
import type { StripStep } from "../job/step";
import type { Strip } from "../job/strip";

/** A piece that has not gone back: what it is, how many, and the pocket (step number) it lies in. */
export interface OpenPiece {
  readonly step: string;
  /** the number on the brass tag, counted from 1 in the order of the strip */
  readonly pocket: number;
  readonly hardware?: string;
  readonly part?: string;
  readonly qty: number;
}

export interface LedgerRow {
  readonly row: string;
  readonly out: number;
  readonly back: number;
  readonly aside?: number;
}

export interface Ledger {
  /** all hardware quantities plus one for each part that came off */
  readonly out: number;
  readonly back: number;
  /** pieces that stay out, because what goes in does without them; left out: none */
  readonly aside?: number;
  readonly open: readonly OpenPiece[];
}

/**
 * Whether a piece of a step has gone back, or is set aside for good; a number: so many of it went back, and
 * the rest is open.
 */
export type IsBack = (step: StripStep, piece: PieceRef) => boolean | "aside" | number;

/** Whether a piece that came out stays out, because what goes in does without it. */
export const staysOut = (goingIn: Strip["goingIn"], piece: PieceRef): string | undefined =>
  goingIn?.flatMap((g) => g.staysOut).find((p) => samePiece(p, piece))?.why;

/**
 * The count while the work goes on: a step that is undone has put back its pieces, and set aside those that
 * stay out.
 */
export const backOnce =
  (goingIn: Strip["goingIn"], undone: (step: StripStep) => boolean): IsBack =>
  (step, piece) =>
    undone(step) && (staysOut(goingIn, piece) === undefined || "aside");

/**
 * The pieces of a step that lie on the bench: what was only looked at, was only loosened, stays in its part, or was
 * missing already, is not among them.
 */
const countedAt = (s: StripStep): readonly Hardware[] =>
  s.action === "note" ? [] : (s.hardware ?? []).filter(isOut);

/** Steps, and the parts they name: a part that is one of the pieces, or was missing already, is not counted. */
type Counted = Pick<Strip, "steps"> & { readonly parts?: readonly Part[] };
function partsAt({ parts = [] }: Counted, s: StripStep): readonly string[] {
  const own = s.parts ?? [];
  if (!own.length) return own;
  const none = new Set(parts.flatMap((p) => (p.piece !== undefined || p.state === "missing" ? [p.id] : [])));
  return none.size ? own.filter((p) => !none.has(p)) : own;
}

const howMany = (where: boolean | number, qty: number): number =>
  typeof where === "number" ? Math.min(qty, Math.max(0, where)) : where ? qty : 0;

/**
 * Out and back: what came off, what of it has gone back, and where the rest lies. Out is the sum of back,
 * aside and open.
 */
export function hardwareLedger(strip: Counted, isBack: IsBack): Ledger {
  let out = 0;
  let back = 0;
  let aside = 0;
  const open: OpenPiece[] = [];
  strip.steps.forEach((s, i) => {
    const count = (qty: number, piece: PieceRef): void => {
      out += qty;
      const where = isBack(s, piece);
      if (where === "aside") {
        aside += qty;
        return;
      }
      const own = howMany(where, qty);
      back += own;
      if (own < qty) open.push({ step: s.id, pocket: i + 1, ...piece, qty: qty - own });
    };
    for (const h of countedAt(s)) count(h.qty, { hardware: h.id });
    for (const p of partsAt(strip, s)) count(1, { part: p });
  });
  return { out, back, ...(aside ? { aside } : {}), open };
}

/**
 * The same count by kind, as the two pencilled columns of the screen. Rows that never had anything are left
 * out.
 */
export function ledgerRows(strip: Counted, isBack: IsBack): LedgerRow[] {
  const rows = [
    ...LEDGER_ROWS.map((r) => ({ row: r.row, kinds: r.kinds, out: 0, back: 0, aside: 0 })),
    { row: "parts", kinds: [], out: 0, back: 0, aside: 0 },
  ];
  for (const s of strip.steps) {
    const add = (row: (typeof rows)[number] | undefined, qty: number, piece: PieceRef): void => {
      if (!row) return;
      row.out += qty;
      const where = isBack(s, piece);
      if (where === "aside") row.aside += qty;
      else row.back += howMany(where, qty);
    };
    for (const h of countedAt(s)) add(rows.find((r) => r.kinds.some((k) => k === h.kind)), h.qty, { hardware: h.id }); // biome-ignore format: one call
    for (const part of partsAt(strip, s)) add(rows.at(-1), 1, { part });
  }
  return rows
    .filter((r) => r.out > 0)
    .map(({ row, out, back, aside }) => ({ row, out, back, ...(aside ? { aside } : {}) }));
}
