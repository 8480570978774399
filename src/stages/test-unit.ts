import type { FinalCheck } from "@/core/hand-back/final-check";
import { readJobFile } from "@/core/job/job-file";
import type { Stage } from "@/core/job/stages";
import { takeInJobFile } from "@/store/job-file";
import { job } from "@/store/test-shop";
import type { ActionResult } from "./saving/act";

const steps = [
  {
    id: "s1",
    action: "unscrew",
    title: "lid screws",
    needs: [],
    hardware: [
      {
        id: "h1",
        kind: "screw",
        qty: 4,
        thread: "M4",
        lengthMm: 12,
        drive: "TX20",
        tighten: { torqueNm: 1.1, pattern: "cross" },
      },
    ],
  },
  {
    id: "s2",
    action: "lift-off",
    title: "Lid off",
    parts: ["p1"],
    needs: ["s1"],
    facing: "arrow to the outlet",
  },
  { id: "s3", action: "pull", title: "Drive wheel", parts: ["p2"], needs: ["s2"] },
  { id: "s4", action: "peel", title: "Shaft seal", parts: ["p3"], needs: ["s3"] },
];

/**
 * A bilge pump, of a kind that the demo does not have, taken in as it stands at a stage. Answers its number.
 */
export const pumpAt = async (
  stage: Stage,
  { job = {}, unit = {}, ...more }: { job?: object; unit?: object; [key: string]: unknown } = {},
): Promise<string> =>
  (
    await takeInJobFile(
      {
        file: readJobFile({
          format: "demontage-job",
          version: 1,
          unit: { kind: "bilge pump", maker: "Tarnholt", model: "Deepwell 2", supply: "battery", ...unit },
          job: { stage, complaint: "leaks at the shaft" },
          parts: [
            { id: "p1", name: "pump lid", kind: "cover", material: "ABS" },
            { id: "p2", name: "drive wheel", kind: "gear", material: "POM" },
            { id: "p3", name: "shaft seal", kind: "seal", material: "NBR", renew: true },
          ],
          steps,
          x: { demontage: { job: { consent: true, stripFinished: true, ...job } } },
          ...more,
        }),
        pictures: new Map(),
      },
      true,
    )
  ).number;

/** An action as a screen sends it that shows the job as it stands. */
export async function press<T>(
  action: (input: T) => Promise<ActionResult>,
  number: string,
  input: Omit<T, "number" | "version">,
): Promise<ActionResult> {
  return action({ number, version: (await job(number)).version, ...input } as T);
}

/** The sentence with which a press was refused, and where it belongs. */
export const refusal = (result: ActionResult): string =>
  result.ok ? "taken" : `${result.path}: ${result.says}`;

/** What is said beside a yes at a last check: where each thing goes, and that a run has had its time. */
export const answerFor = (
  c: FinalCheck,
): { readonly ends?: Record<string, string>; readonly ran?: number } => ({
  ...(c.each
    ? { ends: Object.fromEntries(c.each.map((e) => [e.item, c.agreed ?? c.choices?.[0]?.answer ?? ""])) }
    : {}),
  ...(c.minutes === undefined ? {} : { ran: c.minutes }),
});
