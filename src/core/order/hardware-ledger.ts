import { LEDGER_ROWS } from "../hardware/kinds";
import type { CheckedStrip } from "./strip";

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
}

export interface Ledger {
  /** all hardware quantities plus one for each part that came off */
  readonly out: number;
  readonly back: number;
  readonly open: readonly OpenPiece[];
}

/**
 * Out and back: what came off, what of it has gone back, and where the rest lies.
 *
 * @param isBack whether the step with this index has been undone
 */
export function hardwareLedger(strip: CheckedStrip, isBack: (step: number) => boolean): Ledger {
  let out = 0;
  let back = 0;
  const open: OpenPiece[] = [];
  strip.steps.forEach((s, i) => {
    const done = isBack(i);
    const count = (qty: number, piece: { hardware: string } | { part: string }): void => {
      out += qty;
      if (done) back += qty;
      else open.push({ step: s.id, pocket: i + 1, ...piece, qty });
    };
    for (const h of s.hardware ?? []) count(h.qty, { hardware: h.id });
    for (const p of s.parts ?? []) count(1, { part: p });
  });
  return { out, back, open };
}

/** The same count by kind, as the two pencilled columns of the screen. Rows that never had anything are left out. */
export function ledgerRows(strip: CheckedStrip, isBack: (step: number) => boolean): LedgerRow[] {
  const rows = [...LEDGER_ROWS.map((r) => ({ row: r.row, out: 0, back: 0 })), { row: "parts", out: 0, back: 0 }];
  strip.steps.forEach((s, i) => {
    const add = (k: number, qty: number): void => {
      const row = rows[k] as { out: number; back: number };
      row.out += qty;
      if (isBack(i)) row.back += qty;
    };
    for (const h of s.hardware ?? [])
      add(
        LEDGER_ROWS.findIndex((r) => r.kinds.includes(h.kind)),
        h.qty,
      );
    add(rows.length - 1, (s.parts ?? []).length);
  });
  return rows.filter((r) => r.out > 0);
}
