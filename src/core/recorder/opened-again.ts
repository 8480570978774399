import type { HardwareFacts } from "../hardware/piece";
import { factsOfStep, stackOfStep } from "../job/recorded-step";
import type { StepFacts, StripStep } from "../job/step";
import { asRecorded, EMPTY, type OpenStep, understood } from "./open-step";

/** A step that lies on the Mat, opened again: with its line as it was typed, where that still says the same. */
export function opened(
  step: StripStep,
  part: (id: string) => {
    readonly name: string;
    readonly state?: HardwareFacts["state"];
    readonly kind?: string | undefined;
  },
  key: string,
): OpenStep {
  const parts = step.parts ?? [];
  const { said = "", ...facts } = factsOfStep(step);
  // what a part was said to be is not asked again
  const kinds = parts.flatMap((p) => {
    const { name, kind } = part(p);
    return kind ? [[name, { kind }] as const] : [];
  });
  const laid: OpenStep = {
    ...EMPTY,
    ...(kinds.length && { partFacts: Object.fromEntries(kinds) }),
    key,
    editing: step.id,
    what: parts.length ? parts.map((p) => part(p).name).join(", ") : (step.title ?? ""),
    said,
    hardware: (step.hardware ?? []).map(({ id: _id, x: _x, ...h }) => h),
    action: step.action,
    needs: step.needs ?? null,
    stack: stackOfStep(step),
    partStates: Object.fromEntries(
      parts.flatMap((p) => {
        const { name, state } = part(p);
        return state ? [[name, state]] : [];
      }),
    ),
    facts,
  };
  return typedAgain(laid) ?? laid;
}

/**
 * The same step with its line as it was typed, and only what was put in by touch beside it; undefined: the line says
 * something else today, or what it said was changed by touch.
 */
function typedAgain(laid: OpenStep): OpenStep | undefined {
  if (!laid.said) return undefined;
  const bare: OpenStep = { ...laid, line: laid.said, said: "", hardware: [], stack: [], facts: {} };
  const says = asRecorded(bare, understood(bare), 0).facts;
  const byTouch = Object.entries(laid.facts).filter(
    ([k, v]) => !isSame(v, Object.entries(says).find(([s]) => s === k)?.[1]),
  );
  const typed: OpenStep = { ...bare, facts: Object.fromEntries(byTouch) };
  const again = asRecorded(typed, understood(typed), 0);
  const was = asRecorded(laid, understood(laid), 0);
  return isSame({ ...again, facts: inKeyOrder(again.facts) }, { ...was, facts: inKeyOrder(was.facts) })
    ? typed
    : undefined;
}
const inKeyOrder = (facts: StepFacts): unknown => Object.entries(facts).sort(([a], [b]) => (a < b ? -1 : 1));
const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
