import type { Block, Report } from "./blocks";

/**
 * Words of the bench that a customer's page never says by itself: orders to the technician, removal, tools,
 * the program's own places. What the technician typed is kept as it is.
 */
export const BENCH_WORDS = new RegExp(
  [
    ...["wash it", "wash the", "find where", "crumb check", "ruled out", "told apart"],
    ...["pry", "prise", "pull off", "drive out", "unscrew(?!ed)", "unclip", "desolder", "snug", "torque"],
    ...[
      "strip",
      "the Mat",
      "pocket",
      "ledger",
      "judge",
      "lube point",
      "chamber",
      "next door",
      "on the bench",
    ],
    ...["hunting", "smacks", "squeezed", "calibrat\\w*"],
  ]
    .map((word) => `\\b${word}\\b`)
    .join("|"),
  "i",
);

const blockText = (b: Block): string => {
  switch (b.is) {
    case "words":
      return b.says;
    case "list":
      return b.items.map((i) => `- ${i.lead ? `${i.lead}: ` : ""}${i.says}`).join("\n");
    case "rows":
      return b.rows
        .map((r) => [r.what, r.says, r.under, r.number, r.amount].filter(Boolean).join(" | "))
        .join("\n");
    case "tests":
      return b.tests.map((t) => [t.asks, t.answer, t.under].filter(Boolean).join(" | ")).join("\n");
    case "signature":
      return `[${b.signature.says}]`;
    default:
      return "";
  }
};

/** The customer's page of a sheet as plain text, without its head and its annex. */
export const reportText = ({ sections }: Report): string =>
  sections.map((s) => `## ${s.title}\n${s.blocks.map(blockText).filter(Boolean).join("\n")}`).join("\n");
