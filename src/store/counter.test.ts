import { describe, expect, it } from "vitest";
import { Fault } from "@/core/fault";
import { looseItemsFor } from "@/core/take-in/loose-items";
import { jobHistory } from "./change";
import { counterFor, knownWords, looseItemsKnown, setCustomer, teachDateCode, teachVariant } from "./counter";
import { database } from "./database";
import { loadHead } from "./job";
import { createJob, jobVersion } from "./jobs";
import { testShop } from "./test-shop";

testShop();
const head = async (number: string) => (await loadHead(number)) ?? expect.fail(`no ${number}`);
const customers = async () =>
  (await (await database())("customers").orderBy("id")).map((c) => [c.name, c.contact]);
const counter = async (maker: string, model: string) => counterFor(maker, model);

describe("variants", () => {
  it("are learnt for a model, whatever way its name is written, and set on the job", async () => {
    const number = await createJob({ kind: "juicer", maker: "Velbrant", model: "Pressa 30" });
    let v = await teachVariant(number, 1, { variant: "A", mark: "letter A cast into the case" });
    v = await teachVariant(number, v, { variant: "B", mark: "letter B cast into the case" });
    expect((await head(number)).variant).toBe("B");
    expect((await counter(" velbrant ", "PRESSA 30")).variants.map((x) => x.variant)).toEqual(["A", "B"]);
    expect((await counter("Velbrant", "Pressa 31")).variants).toEqual([]);
    // a better mark for one that is known
    await teachVariant(number, v, { variant: "A", mark: "no letter at all" });
    expect((await counter("Velbrant", "Pressa 30")).variants).toEqual([
      { variant: "B", mark: "letter B cast into the case" },
      { variant: "A", mark: "no letter at all" },
    ]);
    expect((await jobHistory(number))[0]?.what).toBe("variant A, told by: no letter at all");
  });
  it("need a maker and a model", async () => {
    const number = await createJob({ kind: "juicer" });
    await expect(teachVariant(number, 1, { variant: "A", mark: "dot" })).rejects.toThrow(
      "say first which maker and model it is",
    );
    expect(await jobVersion(number)).toBe(1);
  });
});

describe("what a shop is offered at the counter", () => {
  it("grows with what it takes in: loose items of this kind, the commonest first, and none of another's", async () => {
    expect(await looseItemsKnown("egg boiler")).toEqual([]);
    for (const looseItems of [["cup", "cord"], ["cup"], []])
      await createJob({ kind: "Egg boiler", looseItems });
    await createJob({ kind: "kettle", looseItems: ["base"] });
    expect(await looseItemsKnown("egg boiler ")).toEqual(["cup", "cord"]);
    expect(looseItemsFor("egg boiler", await looseItemsKnown("egg boiler"))).toEqual([
      "cup",
      "cord",
      "case",
      "papers",
    ]);
    expect(await looseItemsKnown("")).toEqual([]);
  });
  it("kinds of unit are offered to a shop that is new, its own before them", async () => {
    expect(await knownWords("kind", "trouser")).toEqual(["trouser press"]);
    await createJob({ kind: "trouser stretcher" });
    expect(await knownWords("kind", "trouser")).toEqual(["trouser press", "trouser stretcher"]);
    expect(await knownWords("kind", "zzz")).toEqual([]);
  });
});

describe("a maker's date code", () => {
  it("is taught once, for all its units, and taught again where it was wrong", async () => {
    const number = await createJob({ maker: "Haldrick" });
    const v = await teachDateCode(number, 1, "1-2 year");
    await teachDateCode(number, v, "characters 6–7 year");
    expect((await counter("haldrick", "any")).dateCode).toBe("characters 6–7 year");
    expect((await counter("Other", "any")).dateCode).toBeUndefined();
  });
  it("that cannot be read is refused, and nothing is kept", async () => {
    const number = await createJob({ maker: "Corvane" });
    await expect(teachDateCode(number, 1, "the middle")).rejects.toBeInstanceOf(Fault);
    expect((await counter("Corvane", "")).dateCode).toBeUndefined();
  });
});

describe("customers", () => {
  it("are found as they are named again, and their contact comes along", async () => {
    const first = await createJob();
    let v = await setCustomer(first, 1, { name: "Ilka Morrow" });
    v = await setCustomer(first, v, { contact: "tel. 0555 1" });
    const second = await createJob();
    await setCustomer(second, 1, { name: "ilka morrow" });
    expect(await head(second)).toMatchObject({ customerName: "ilka morrow", customerContact: "tel. 0555 1" });
    expect(await knownWords("customer", "ilka")).toEqual(["Ilka Morrow"]);
    expect(await customers()).toEqual([["Ilka Morrow", "tel. 0555 1"]]);
  });
  it("of one name are two people if they have two contacts, and neither is guessed", async () => {
    for (const contact of ["tel. 1", "tel. 2"]) {
      const number = await createJob();
      await setCustomer(number, await setCustomer(number, 1, { name: "Bertin Oake" }), { contact });
    }
    expect(
      (await customers()).filter(([name]) => name === "Bertin Oake").map(([, contact]) => contact),
    ).toEqual(["tel. 1", "tel. 2"]);
    expect(await knownWords("customer", "oake")).toEqual(["Bertin Oake"]);
    const third = await createJob();
    await setCustomer(third, 1, { name: "Bertin Oake" });
    expect((await head(third)).customerContact).toBe("");
  });
});

describe("what the counter offers as somebody types", () => {
  it("are words of all jobs and models, those that begin so first", async () => {
    const number = await createJob({ maker: "Quentar", model: "Tube 60", kind: "blind motor" });
    await createJob({ maker: "Unquentar", model: "Tube 70", kind: "motor of a blind" });
    expect(await knownWords("maker", "quen")).toEqual(["Quentar", "Unquentar"]);
    expect(await knownWords("model", "tube", "quentar")).toEqual(["Tube 60"]);
    expect(await knownWords("model", "tube")).toEqual(["Tube 60", "Tube 70"]);
    expect(await knownWords("kind", "motor")).toEqual(["motor of a blind", "blind motor"]);
    expect(await knownWords("maker", "100% _")).toEqual([]);
    expect(await jobVersion(number)).toBeGreaterThan(0);
    expect(await jobVersion("J-9999")).toBeNull();
  });
});
