import { Choose } from "@/ui/choose";
import type { StepNamed } from "./tight-fields";

/** What is said for the return of a step may wait for another that goes back later. */
export function NotBefore({
  steps,
  until,
  onChoose,
}: {
  steps: readonly StepNamed[];
  until: string;
  onChoose: (step: string) => void;
}) {
  if (!steps.length) return null;
  return (
    <Choose
      label="And not before this is back, too"
      options={steps.map((s) => [s.id, s.says] as const)}
      value={until || undefined}
      none="as soon as it is on itself"
      onChoose={(id) => onChoose(id ?? "")}
    />
  );
}
