import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { HARDWARE_KINDS } from "../hardware/kinds";
import type { Hardware } from "../hardware/piece";
import { lineGroups } from "./line-groups";

const h = (kind: Hardware["kind"], id: string = kind): Hardware => ({ id, kind, qty: 1 });
const kinds = (hardware: readonly Hardware[]): string[] => hardware.map((x) => x.id);
const said = (parts: { id: string; kind?: string }[], hardware: Hardware[], stack?: string[]) => {
  const g = lineGroups({ action: "pull", ...(stack && { stack }) }, parts, hardware);
  return [kinds(g.under), g.parts, kinds(g.beside), kinds(g.holds)];
};

describe("a step's return, part for part", () => {
  it("a cover and its screws: set on, then screwed down", () => {
    expect(said([{ id: "cover", kind: "cover" }], [h("screw"), h("gasket")])).toEqual([
      ["gasket"],
      ["cover"],
      [],
      ["screw"],
    ]);
  });
  it("a gear on a key, under washer and nut", () => {
    expect(said([{ id: "gear", kind: "gear" }], [h("nut"), h("washer"), h("key")])).toEqual([
      ["key"],
      ["gear"],
      [],
      ["nut", "washer"],
    ]);
  });
  it("how they lay on each other stands above what they are", () => {
    const hardware = [h("circlip"), h("washer", "above"), h("washer", "below"), h("bearing")];
    expect(said([{ id: "gear" }], hardware, ["circlip", "above", "gear", "bearing", "below"])).toEqual([
      ["below", "bearing"],
      ["gear"],
      [],
      ["circlip", "above"],
    ]);
  });
  it("a pin holds a gear, and locates a cover: there it stays with it", () => {
    expect(said([{ id: "gear", kind: "gear" }], [h("pin")])).toEqual([[], ["gear"], [], ["pin"]]);
    expect(said([{ id: "lid", kind: "cover" }], [h("pin")])).toEqual([[], ["lid"], ["pin"], []]);
  });
  it("washers with nothing that holds, springs, balls: nobody knows, and nothing is made of it", () => {
    expect(said([{ id: "pawl" }], [h("washer"), h("spring"), h("ball")])).toEqual([
      [],
      ["pawl"],
      ["washer", "spring", "ball"],
      [],
    ]);
  });
  it("without a part, and of what was only loosened, nothing is taken apart", () => {
    expect(said([], [h("screw"), h("o-ring")])).toEqual([[], [], ["screw", "o-ring"], []]);
    expect(lineGroups({ action: "loosen" }, [{ id: "a" }], [h("screw")]).holds).toEqual([]);
  });
  it("what its screws lie under goes on last, unless there is nothing else", () => {
    const screws = { ...h("screw"), at: "under the feet" };
    const feet = { id: "feet", name: "rubber feet" };
    const g = lineGroups({ action: "lift-off" }, [{ id: "plate", name: "foot plate" }, feet], [screws]);
    expect([g.parts, kinds(g.holds), g.last]).toEqual([["plate"], ["screw"], ["feet"]]);
    const alone = lineGroups({ action: "lift-off" }, [feet], [screws]);
    expect([alone.parts, alone.last]).toEqual([["feet"], []]);
  });
  it("as a law: every piece is in one group, once", () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...HARDWARE_KINDS), { maxLength: 8 }),
        fc.nat(2),
        fc.boolean(),
        fc.nat(),
        (all, parts, stacked, turn) => {
          const at = turn % 2 ? { at: "under the p0" } : {};
          const hardware = all.map((kind, i) => ({ ...h(kind, `h${i}`), ...at }));
          const own = Array.from({ length: parts }, (_, i) => ({ id: `p${i}`, name: `p${i}` }));
          const pieces = [...kinds(hardware), ...own.map((p) => p.id)];
          const stack = pieces.slice(turn % (pieces.length + 1));
          const g = lineGroups({ action: "lift-off", ...(stacked && { stack }) }, own, hardware);
          expect([...kinds(g.under), ...kinds(g.beside), ...kinds(g.holds)].sort()).toEqual(
            kinds(hardware).sort(),
          );
          expect([...g.last, ...g.parts]).toEqual(own.map((p) => p.id));
          expect(g.parts.length > 0 || own.length === 0).toBe(true);
        },
      ),
    );
  });
});
