import { describe, expect, it } from "vitest";
import { BuiltOn } from "./built-on";

type Mesh = { readonly kind: string; readonly pitch?: number };
/** A shop that answers when it is told to. */
function slowShop() {
  const answers: ((ok: boolean) => void)[] = [];
  const kept: Mesh[] = [];
  return {
    kept,
    keep: (m: Mesh) =>
      new Promise<{ ok: boolean }>((done) => {
        kept.push(m);
        answers.push((ok) => done({ ok }));
      }),
    answer: async (ok = true) => {
      answers.shift()?.(ok);
      await new Promise((r) => setTimeout(r));
    },
  };
}

describe("a thing that is changed bit by bit", () => {
  it("is built on what was changed last, although a page from before it arrives meanwhile", async () => {
    const shop = slowShop();
    const built = new BuiltOn<Mesh>({ kind: "spur" });
    void built.change((m) => ({ ...m, kind: "belt" }), shop.keep);
    expect(built.arrived({ kind: "spur" })).toBe(false);
    void built.change((m) => ({ ...m, pitch: 3 }), shop.keep);
    expect(shop.kept.at(-1)).toEqual({ kind: "belt", pitch: 3 });
    await shop.answer();
    expect(built.arrived({ kind: "belt" })).toBe(false);
    await shop.answer();
    expect(built.arrived({ kind: "belt", pitch: 4 })).toBe(true);
    expect(built.now).toEqual({ kind: "belt", pitch: 4 });
  });

  it("forgets what was refused, and goes on from what it had", async () => {
    const shop = slowShop();
    const built = new BuiltOn<Mesh>({ kind: "spur" });
    const refused = built.change((m) => ({ ...m, pitch: -3 }), shop.keep);
    await shop.answer(false);
    expect((await refused).ok).toBe(false);
    expect(built.now).toEqual({ kind: "spur" });
  });

  it("is not left waiting by a shop that does not answer at all", async () => {
    const built = new BuiltOn<Mesh>({ kind: "spur" });
    await expect(built.change((m) => m, () => Promise.reject(new Error("no way there")))).rejects.toThrow("no way there"); // biome-ignore format: one call
    expect(built.arrived({ kind: "worm" })).toBe(true);
  });
});
