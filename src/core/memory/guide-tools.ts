import { toolsOf } from "../order/tools-used";
import type { Ghost } from "./ghost";

/** A tool, and in how many of the units it was needed. */
export interface FoundTool {
  readonly tool: string;
  readonly times: number;
}

/**
 * What to lay out before beginning: every tool of any of the units, in the order in which they were first
 * needed.
 */
export function toolsOfAll(ghosts: readonly Ghost[]): FoundTool[] {
  const times = new Map<string, number>();
  for (const g of ghosts) {
    const own = new Set(
      g.steps.flatMap((s) =>
        toolsOf({ ...s.facts, hardware: s.hardware.map((h, i) => ({ id: `${i}`, ...h })) }),
      ),
    );
    for (const tool of own) times.set(tool, (times.get(tool) ?? 0) + 1);
  }
  return [...times].map(([tool, n]) => ({ tool, times: n }));
}
