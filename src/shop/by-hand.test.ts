import { describe, expect, it, vi } from "vitest";
import { partsNumbered } from "@/store/catalogue";
import { allSuppliers, offersFor } from "@/store/offers";
import { shopSettings } from "@/store/settings";
import { testShop } from "@/store/test-shop";
import { saveRow, takeRowOut } from "./forms/actions";
import { setKindHazards } from "./hazards/actions";
import { partFields } from "./parts/part-fields";
import { partFormView } from "./parts/part-form-view";
import { suppliersView } from "./suppliers/suppliers-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
const seal = {
  number: "OM-7",
  name: "Shaft seal of the hose reel",
  kind: "seal",
  inside_mm: "12",
  outside_mm: "22",
  width_mm: "7",
  price: "4,20",
};
const put = (cells: Record<string, string>, key: string | null = null) =>
  saveRow({ table: "parts", key, cells });

describe("a part by hand", () => {
  it("is put into an empty catalogue, changed and discontinued; its number stays", async () => {
    expect(await put(seal)).toEqual({ ok: true, key: "OM-7" });
    expect(await partsNumbered(["OM-7"])).toEqual([
      expect.objectContaining({
        price: 4.2,
        spec: { kind: "seal", insideMm: 12, outsideMm: 22, widthMm: 7 },
      }),
    ]);
    const view = await partFormView("OM-7");
    expect(await put({ ...view?.cells, stock: "3", discontinued: "yes" }, "OM-7")).toMatchObject({
      ok: true,
    });
    expect((await partsNumbered(["OM-7"]))[0]).toMatchObject({ stock: 3, discontinued: true, price: 4.2 });
    expect(await partFormView("OM-8")).toBeNull();
  });
  it.each([
    [{ ...seal }, null, "number", "There is such a part already: look it up and change it."],
    [{ ...seal, number: "OM-9", kind: "teapot" }, null, "kind", /^"teapot" is no kind of part/],
    [{ ...seal, number: "OM-9", inside_mm: "wide" }, null, "inside_mm", '"wide" is not a number.'],
    [{ ...seal, number: "OM-9" }, "OM-7", "number", /^This is what the part is known by/],
    [{ ...seal, number: "OM-9" }, "OM-9", "", "That part is not there any more."],
  ] as const)("%j is refused at its field", async (cells, key, field, says) => {
    const answer = await put(cells, key);
    expect(answer).toMatchObject({ ok: false, field });
    if (answer.ok) return;
    if (typeof says === "string") expect(answer.says).toBe(says);
    else expect(answer.says).toMatch(says);
  });
  it("is asked the figures of its kind", () => {
    const columns = (kind: string) => partFields("€", true)({ kind }).map((f) => f.column);
    expect(columns("gear")).toEqual(expect.arrayContaining(["teeth", "module_mm", "helix_angle_deg"]));
    expect(columns("seal")).toEqual(expect.arrayContaining(["inside_mm", "outside_mm", "width_mm"]));
    expect(columns("")).not.toContain("teeth");
  });
});

describe("what can hurt at a kind of unit", () => {
  it("is set, changed and forgotten by hand", async () => {
    expect(await setKindHazards({ kind: "Hose reel", hazards: ["spring"] })).toBeNull();
    await setKindHazards({ kind: "slicer", hazards: [] });
    expect((await shopSettings()).kindHazards).toEqual({ "hose reel": ["spring"], slicer: [] });
    await setKindHazards({ kind: "slicer", hazards: null });
    expect((await shopSettings()).kindHazards).toEqual({ "hose reel": ["spring"] });
    expect(await setKindHazards({ kind: " ", hazards: [] })).toBe("Say which kind of unit.");
    expect(await setKindHazards({ kind: "reel", hazards: ["boredom" as "heat"] })).toMatch(
      /^Is none of: blade/,
    );
  });
});

describe("a supplier by hand", () => {
  it("offers a part, and takes its offers along when it is taken out", async () => {
    expect(
      await saveRow({
        table: "suppliers",
        key: null,
        cells: { name: "Ombray Parts", shipping: "4.90", free_from: "60" },
      }),
    ).toMatchObject({ ok: true });
    expect((await suppliersView()).suppliers).toEqual([
      { name: "Ombray Parts", cells: expect.objectContaining({ shipping: "4.9", free_from: "60" }) },
    ]);
    const offer = { supplier: "Ombray Parts", number: "OM-7", price: "2.5", lead_days: "3" };
    const answer = await saveRow({ table: "offers", key: null, cells: offer });
    expect(answer).toMatchObject({ ok: true });
    expect((await offersFor(["OM-7"]))[0]).toMatchObject({
      supplier: "Ombray Parts",
      price: 2.5,
      pack: 1,
      leadDays: 3,
    });
    expect(await saveRow({ table: "offers", key: null, cells: offer })).toMatchObject({
      ok: false,
      field: "supplier",
    });
    const key = answer.ok ? answer.key : "";
    expect(
      await saveRow({ table: "offers", key, cells: { ...offer, pack: "1", price: "2.9" } }),
    ).toMatchObject({ ok: true });
    expect((await offersFor(["OM-7"])).map((o) => o.price)).toEqual([2.9]);
    expect(await takeRowOut({ table: "suppliers", key: "Ombray Parts" })).toMatchObject({ ok: true });
    expect([await allSuppliers(), await offersFor(["OM-7"])]).toEqual([[], []]);
  });
  it("needs its name, and what it sells its price", async () => {
    expect(await saveRow({ table: "suppliers", key: null, cells: { shipping: "4" } })).toMatchObject({
      ok: false,
      field: "name",
    });
    expect(
      await saveRow({ table: "offers", key: null, cells: { supplier: "X", number: "OM-7", lead_days: "2" } }),
    ).toMatchObject({
      ok: false,
      field: "price",
      says: "Is missing.",
    });
  });
});
