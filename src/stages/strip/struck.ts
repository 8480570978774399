import { factsWith, namesIn } from "@/core/job/recorded-step";
import type { StepFacts } from "@/core/job/step";
import type { FactChip } from "@/core/order/step-words";
import { lineTaken, type OpenStep, type Understood } from "@/core/recorder/open-step";

/** A step without one of its pieces: it leaves the stack too, and the others keep their places in it. */
export function withoutPiece(open: OpenStep, read: Understood, at: number): OpenStep {
  const taken = lineTaken(open, read);
  const down = (i: number): number => (i > at ? i - 1 : i);
  const stack = taken.stack
    .filter((s) => s !== `h${at}`)
    .map((s) => (s.startsWith("h") ? `h${down(Number(s.slice(1)))}` : s));
  return {
    ...taken,
    hardware: taken.hardware.filter((_, i) => i !== at),
    stack: stack.length > 1 ? stack : [],
    inferred: taken.inferred.filter((i) => i !== at).map(down),
    // what was asked about it goes with it
    looks: taken.looks.filter((l) => !read.doubts.some((d) => d.piece === at && d.says === l)),
  };
}

/** A step without one thing that was said of it, wherever it was said. */
export function withoutFact(
  open: OpenStep,
  read: Understood,
  { fact, at }: Pick<FactChip, "fact" | "at">,
): OpenStep {
  const taken = lineTaken(open, read);
  const value = taken.facts[fact];
  const left = Array.isArray(value) && value.length > 1 ? value.filter((_, i) => i !== at) : undefined;
  const { [fact]: _gone, ...rest } = taken.facts;
  const gone = fact === "remarks" && at !== undefined ? taken.facts.remarks?.[at]?.says : undefined;
  const facts: StepFacts = { ...rest, ...(left && { [fact]: left }) };
  // how it was freed was said by the same words
  if (gone === undefined || facts.freed?.says !== gone) return { ...taken, facts };
  const { freed, ...others } = facts;
  const tools = others.tools?.filter((t) => !freed.tool?.split(", ").includes(t));
  return { ...taken, facts: factsWith(others, { tools }) };
}

/** A step without a part that was named among its pieces. */
export function withoutName(open: OpenStep, read: Understood, name: string): OpenStep {
  const taken = lineTaken(open, read);
  return {
    ...taken,
    what: namesIn(taken.what)
      .filter((n) => n !== name)
      .join(", "),
  };
}

/** A step of which nobody says how its pieces lie on each other. */
export const withoutStack = (open: OpenStep, read: Understood): OpenStep => ({
  ...lineTaken(open, read),
  stack: [],
});
