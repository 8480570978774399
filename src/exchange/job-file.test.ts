import { describe, expect, it } from "vitest";
import { Fault } from "@/core/fault";
import { readJobFile, stripOf, writeJobJson } from "@/core/job/job-file";
import { checkStrip } from "@/core/order/checked-strip";

const file = (more: object = {}, step: object = {}) => ({
  format: "demontage-job",
  version: 1,
  unit: { kind: "mill" },
  parts: [{ id: "p1", name: "lid" }],
  steps: [{ id: "s1", action: "lift-off", needs: [], parts: ["p1"], ...step }],
  ...more,
});
const refusal = (json: unknown): string => {
  try {
    checkStrip(stripOf(readJobFile(json)));
  } catch (e) {
    if (e instanceof Fault) return `${e.path}: ${e.says}`;
    throw e;
  }
  return "taken";
};

describe("the job file", () => {
  it("takes the least there can be", () => {
    expect(refusal(file())).toBe("taken");
    expect(refusal({ format: "demontage-job", version: 1, unit: { kind: "mill" }, steps: [] })).toBe("taken");
  });

  it.each([
    ["no object", [], /a job file is a JSON object/],
    ["another format", file({ format: "x" }), /^format: is not "demontage-job"/],
    ["a later version", file({ version: 2 }), /^version: .*it reads 1/],
    ["an unknown key", file({ colour: "red" }), /does not know the key "colour"/],
    [
      "a supply that does not exist",
      file({ unit: { kind: "mill", supply: "steam" } }),
      /^unit.supply: is none of/,
    ],
    ["an action that does not exist", file({}, { action: "blow" }), /^steps\[0\].action: is none of/],
    ["a way of freeing that does not exist", file({}, { freed: { how: "blast" } }), /^steps\[0\].freed.how/],
    ["a pin that stands at neither", file({}, { timing: { pin: "flat" } }), /^steps\[0\].timing.pin/],
    ["turns below nothing", file({}, { timing: { turns: -1 } }), /^steps\[0\].timing.turns/],
    [
      "a stack of what did not come off here",
      file({}, { stack: ["p9"] }),
      /^steps\[0\].stack\[0\]: p9 did not come off in this step/,
    ],
    [
      "a four-metre screw",
      file({}, { hardware: [{ id: "h1", kind: "screw", qty: 1, lengthMm: 4000 }] }),
      /^steps\[0\].hardware\[0\].lengthMm: is longer than a metre/,
    ],
    [
      "a state that does not exist",
      file({}, { hardware: [{ id: "h1", kind: "screw", qty: 1, state: "bent" }] }),
      /^steps\[0\].hardware\[0\].state/,
    ],
    [
      "marks that are none",
      file({ pictureMarks: { "0001.jpg": [{ kind: "blot" }] } }),
      /^pictureMarks.0001.jpg\[0\]/,
    ],
    ["minutes below nothing", file({}, { minutes: -1 }), /^steps\[0\].minutes: must not be negative/],
  ])("refuses %s with the place and a sentence", (_, json, says) => {
    expect(refusal(json)).toMatch(says);
  });

  it("writes the same job as the same bytes, whatever order its keys came in", () => {
    const a = readJobFile(file({}, { facing: "up", tray: "B3", held: ["dowels"] }));
    const b = readJobFile({
      steps: [
        {
          tray: "B3",
          held: ["dowels"],
          facing: "up",
          parts: ["p1"],
          needs: [],
          action: "lift-off",
          id: "s1",
        },
      ],
      parts: [{ name: "lid", id: "p1" }],
      unit: { kind: "mill" },
      version: 1,
      format: "demontage-job",
    });
    expect(writeJobJson(a)).toBe(writeJobJson(b));
    expect(readJobFile(JSON.parse(writeJobJson(a)))).toEqual(a);
  });
});
