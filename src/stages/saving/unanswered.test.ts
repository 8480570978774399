import { expect, it } from "vitest";
import { Unanswered } from "./unanswered";

const save = (): void => undefined;
const lay = (): void => undefined;

it("gives the same thing sent again the same name, and anything else a new one", () => {
  const sent = new Unanswered();
  const name = sent.nameFor(save, '{"a":1}');
  sent.lost(name, save, '{"a":1}');
  expect(sent.nameFor(save, '{"a":1}')).toBe(name);
  expect(sent.nameFor(save, '{"a":2}')).not.toBe(name);
  expect(sent.nameFor(lay, '{"a":1}')).not.toBe(name);
  sent.answered(name);
  expect(sent.nameFor(save, '{"a":1}')).not.toBe(name);
});

it("knows its own changes, and a screen that shows the job anew forgets them", () => {
  const sent = new Unanswered();
  for (const name of ["n1", "n2"]) sent.lost(name, save, name);
  expect(sent.explains([{ sending: "n1" }, { sending: "n2" }])).toBe(true);
  expect(sent.explains([{ sending: "n1" }, { sending: null }])).toBe(false);
  expect(sent.explains([{ sending: "n3" }])).toBe(false);
  expect(sent.explains([])).toBe(false);
  sent.clear();
  expect(sent.explains([{ sending: "n1" }])).toBe(false);
});

it("remembers the last two hundred", () => {
  const sent = new Unanswered();
  for (let i = 0; i < 250; i++) sent.lost(`n${i}`, save, `${i}`);
  expect(sent.nameFor(save, "249")).toBe("n249");
  expect(sent.nameFor(save, "10")).not.toBe("n10");
});
