import { describe, expect, it, vi } from "vitest";
import { gatesOf, planOf } from "@/core/gates/job-facts";
import { ON_PAPER } from "@/core/job/going-home";
import type { Job } from "@/core/job/job";
import { STAGES, type Stage } from "@/core/job/stages";
import { lineKey } from "@/core/order/rebuild-line";
import { lineInWords } from "@/core/rebuild/line-in-words";
import { changeElectrical, shopSettings } from "@/store/settings";
import { job, testShop } from "@/store/test-shop";
import { endJob, takeUpAgain, waitFor, waitNoMore } from "./ending/actions";
import { endingView } from "./ending/ending-view";
import { comesBackFrom } from "./frame/came-back-action";
import { goOn } from "./frame/go-on-action";
import { readNumber } from "./frame/read-number-action";
import { answerCheck, handBack, notSigned } from "./hand-back/actions";
import { handBackView } from "./hand-back/hand-back-view";
import { ReturnSheet } from "./hand-back/return-sheet";
import { returnSheet } from "./hand-back/return-sheet-view";
import { sayCured } from "./job-view/cured-action";
import { saveGetting } from "./job-view/getting-action";
import {
  saveFinding,
  saveGearNotes,
  saveMending,
  saveNothingFailed,
  savePart,
  savePartAdded,
  saveService,
} from "./judge/actions";
import { judgeView } from "./judge/judge-view";
import { stepsToAddToView } from "./judge/steps-to-add-to-view";
import { addPoint, makeChamber, saveNoGrease, savePoint } from "./lube/actions";
import { sayFood } from "./lube/asked-actions";
import { saveWashed } from "./lube/cleaning-actions";
import { choose, newUnit, quote, takeGot, takeStaying } from "./match/actions";
import { basketGroundOf } from "./match/basket-ground";
import { jobBasketProven } from "./match/job-basket";
import { matchView } from "./match/match-view";
import { finishLine, secondFault } from "./rebuild/actions";
import { rebuildView } from "./rebuild/rebuild-view";
import { takeInView } from "./take-in/take-in-view";
import { answerFor, press, pumpAt, refusal } from "./test-unit";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();

/** Units of kinds that the demo lacks, in the hands of somebody who only presses what the screens offer. */
const whole = {
  steps: [
    {
      id: "s1",
      action: "unscrew",
      title: "foot screws",
      needs: [],
      hardware: [{ id: "h1", kind: "screw", qty: 3, thread: "M4", lengthMm: 10, drive: "PH2" }],
    },
    { id: "s2", action: "lift-off", title: "Foot off", parts: ["p1"], needs: ["s1"] },
    {
      id: "s3",
      action: "drive-out",
      title: "Cross pin",
      needs: ["s2"],
      hardware: [{ id: "h2", kind: "pin", qty: 1, lengthMm: 18 }],
    },
    { id: "s4", action: "pull", title: "Crank gear", parts: ["p2"], needs: ["s3"] },
  ],
  parts: [
    { id: "p1", name: "foot", kind: "cover" },
    { id: "p2", name: "crank gear", kind: "gear" },
  ],
};
const at = (stage: Stage, unit: object = {}, more: object = {}): Promise<string> =>
  pumpAt(stage, {
    unit: { kind: "sausage filler", maker: "Orrin & Vail", model: "Crank 7", supply: "hand", ...unit },
    ...whole,
    ...more,
  });

const gates = async (number: string, stage: Stage): Promise<string[]> =>
  gatesOf(await job(number), stage).map((g) => g.gate);
const onwards = async (number: string): Promise<Stage> => {
  const { stage } = await job(number);
  expect(await press(goOn, number, { from: stage })).toMatchObject({ ok: true });
  return (await job(number)).stage;
};
/** Lines of the rebuild as they are told, done one after the other. */
async function rebuilt(number: string): Promise<string[]> {
  const told: string[] = [];
  for (let view = await rebuildView(number); view?.line; view = await rebuildView(number)) {
    told.push([view.line.words.title, ...view.line.words.renewed, ...view.line.words.mind].join(" | "));
    if (view.held) {
      // nothing closes over what has not set, unless somebody tried it
      expect(refusal(await press(finishLine, number, { line: view.line.key, done: true }))).toMatch(
        /or say that it has set/,
      );
      expect(await press(sayCured, number, { line: view.held.line })).toMatchObject({ ok: true });
    }
    expect(await press(finishLine, number, { line: view.line.key, done: true })).toMatchObject({ ok: true });
  }
  return told;
}
/** Answers what is left to check and hands it back; answers the checks. */
async function home(number: string): Promise<string[]> {
  const checks = (await handBackView(number))?.checks ?? [];
  for (const c of checks) {
    const answer = {
      check: c.check,
      ...answerFor(c),
      ...(c.unit ? { value: c.min ?? c.max ?? 0 } : {}),
    };
    expect(await press(answerCheck, number, answer)).toMatchObject({ ok: true });
  }
  if ((await handBackView(number))?.gates.length)
    expect(await press(notSigned, number, { why: ON_PAPER })).toMatchObject({ ok: true });
  expect(await press(handBack, number, {})).toMatchObject({ ok: true });
  return checks.map((c) => c.check);
}
/** The sheet as text. */
async function sheet(number: string): Promise<string> {
  const { renderToStaticMarkup } = await import("react-dom/server");
  const view = await returnSheet(number, { form: "long", units: "metric" });
  if (!view) throw new Error("there is no such job");
  return renderToStaticMarkup(ReturnSheet({ report: view }))
    .replace(/<[^>]+>/g, " ")
    .replace(/&#x27;|&amp;/g, "'")
    .replace(/\s+/g, " ");
}
/** From Lube to the door, without grease. */
async function oilAndHome(number: string, why: string | null = "it runs dry"): Promise<string[]> {
  await press(saveWashed, number, { washed: true });
  if (why) expect(await press(saveNoGrease, number, { why })).toMatchObject({ ok: true });
  expect(await onwards(number)).toBe("rebuild");
  const told = await rebuilt(number);
  expect(await onwards(number)).toBe("hand-back");
  await home(number);
  return told;
}

describe("a job of every shape goes from Judge to the door", () => {
  it("a service with nothing broken: nothing is bought, the work can be quoted, oil goes where it was said", async () => {
    const number = await at("judge");
    expect(await gates(number, "judge")).toEqual(["finding"]);
    expect(await press(saveNothingFailed, number, { nothing: "service" })).toMatchObject({ ok: true });
    expect(await onwards(number)).toBe("match");
    expect((await matchView(number))?.parts).toEqual([]);
    const ground = await basketGroundOf(await job(number), await shopSettings());
    const { quote: made, answer } = jobBasketProven(ground, "least cost", {});
    expect(answer.basket?.cost).toBe(0);
    expect(made?.lines.map((l) => l.what)).toEqual(expect.arrayContaining(["work"]));
    expect(await press(quote, number, { aim: "least cost", found: {} })).toMatchObject({ ok: true });
    expect((await job(number)).quotes[0]?.total).toBe(made?.total);
    expect(await onwards(number)).toBe("lube");
    await press(makeChamber, number, { kind: "bearing-seat" });
    await press(addPoint, number, {
      chamber: "c1",
      kind: "plain-bush",
      part: "p2",
      where: "two drops in the bush",
    });
    // its kind mostly touches food: that is asked before anything goes in
    expect(await gates(number, "lube")).toEqual(["washed", "food", "lubricant:bearing seat"]);
    expect(await press(sayFood, number, { touches: false })).toMatchObject({ ok: true });
    expect(await gates(number, "lube")).toEqual(["washed", "lubricant:bearing seat"]);
    // nothing on the shelf suits: it is asked for over a counter, paid for whole, and on its way
    const lacking = async () => {
      const { toBuy, ...rest } = await basketGroundOf(await job(number), await shopSettings());
      return {
        toBuy,
        lines: jobBasketProven({ ...rest, toBuy }, "least cost", {}).quote?.lines.filter(
          (l) => l.what === "consumable",
        ),
      };
    };
    expect((await lacking()).toBuy).toMatchObject([
      { chamber: { id: "c1" }, says: [expect.stringMatching(/^For bearing seat: a grease/)] },
    ]);
    expect(refusal(await press(saveGetting, number, { chamber: "c1", price: "cheap" }))).toMatch(
      /^price: Write it as an amount/,
    );
    await press(saveGetting, number, { chamber: "c1", from: "Tamsin’s Tools" });
    await press(saveGetting, number, { chamber: "c1", price: "7,50", ordered: "2026-11-30" });
    expect((await job(number)).chambers?.[0]?.getting).toEqual({
      from: "Tamsin’s Tools",
      price: 7.5,
      ordered: "2026-11-30",
    });
    expect((await lacking()).lines).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ says: "Lubricant for the bearing seat, from Tamsin’s Tools" }),
      ]),
    );
    await press(saveGetting, number, { chamber: "c1", price: "", ordered: null });
    expect((await job(number)).chambers?.[0]?.getting).toEqual({ from: "Tamsin’s Tools" });
    expect(refusal(await press(savePoint, number, { point: "g1", facts: { lubricant: "" } }))).toBe(
      "facts.lubricant: Say which",
    );
    await press(savePoint, number, { point: "g1", facts: { lubricant: "light machine oil" } });
    const told = await oilAndHome(number, null);
    expect(told).toContain("light machine oil: two drops in the bush");
    expect(await sheet(number)).toMatch(
      /Nothing failed: a service\..*Lubricant light machine oil two drops in the bush/,
    );
  });

  it("a pin that sheared, which was hardware: it is judged like a part, and got at the counter", async () => {
    const number = await at("judge");
    expect((await judgeView(number))?.anyStep).toBe(true);
    const steps = await stepsToAddToView(number);
    expect(steps?.find((s) => s.step === "s3")?.hardware).toEqual([{ id: "h2", says: "1 pin 18 mm" }]);
    expect(await press(savePartAdded, number, { step: "s3", hardware: "h2" })).toMatchObject({ ok: true });
    const pin = (await job(number)).parts.at(-1);
    expect(pin).toMatchObject({ name: "pin 18 mm", kind: "pin" });
    await press(saveFinding, number, { part: pin?.id ?? "", mode: "sheared" });
    expect(await gates(number, "judge")).toEqual([]);
    expect(await onwards(number)).toBe("match");
    expect(await gates(number, "match")).toEqual([`part:${pin?.id}`]);
    const got = {
      from: "counter" as const,
      says: "Tamsin’s Tools, dowel 3 × 18",
      number: "",
      price: "1,20",
      differs: "",
    };
    expect(
      refusal(await press(takeGot, number, { part: pin?.id ?? "", got: { ...got, price: "a lot" } })),
    ).toMatch(/^price: /);
    expect(await press(takeGot, number, { part: pin?.id ?? "", got })).toMatchObject({ ok: true });
    const ground = await basketGroundOf(await job(number), await shopSettings());
    expect(jobBasketProven(ground, "least cost", {}).quote?.lines[0]).toMatchObject({
      what: "part",
      amount: 1.2,
      says: "pin 18 mm, bought at the counter, Tamsin’s Tools, dowel 3 × 18",
    });
    expect(await onwards(number)).toBe("lube");
    const told = await oilAndHome(number);
    expect(told.join("\n")).toMatch(/pin 18 mm: new, bought at the counter, Tamsin’s Tools, dowel 3 × 18/);
    expect(await sheet(number)).toMatch(
      /sheared off.*Pin 18 mm bought at the counter, Tamsin’s Tools, dowel 3 × 18 1\.20 €/,
    );
  });

  it.each([
    ["belt", "torn"],
    ["seal", "hardened"],
    ["bearing", "stuck"],
    ["switch", "contacts"],
    ["brush", "short"],
    ["wire", "chafed"],
    ["spring", "broken"],
    ["pin", "lost"],
    ["housing", "cracked"],
    ["bracket", "bent"],
  ] as const)("a %s that is %s: named by nobody, brought by the customer", async (kind, mode) => {
    const number = await at("judge");
    await press(savePartAdded, number, { step: "s4", name: `the ${kind} inside` });
    const part = (await job(number)).parts.at(-1)?.id ?? "";
    await press(savePart, number, { part, kind });
    expect(await press(saveFinding, number, { part, mode })).toMatchObject({ ok: true });
    if (!(await job(number)).parts.find((p) => p.id === part)?.renew)
      await press(saveFinding, number, { part, renew: true });
    expect(await onwards(number)).toBe("match");
    await press(takeGot, number, {
      part,
      got: { from: "customer", says: "", number: "", price: "", differs: "one piece for two" },
    });
    expect(await onwards(number)).toBe("lube");
    const told = await oilAndHome(number, "it runs dry by design");
    expect(told.join("\n")).toMatch(
      new RegExp(
        `the ${kind} inside: new, brought by the customer \\|.* the ${kind} inside differs from what came out: one piece for two`,
      ),
    );
  });

  it("everything reused: each part found bad has its reason, or what mends it, and the plan and the sheet say so", async () => {
    const number = await at("judge");
    await press(saveFinding, number, { part: "p1", mode: "cracked", renew: false });
    await press(saveFinding, number, { part: "p2", mode: "worn", renew: false });
    expect(await gates(number, "judge")).toEqual(["settle:p1", "settle:p2"]);
    await press(saveFinding, number, { part: "p2", fate: "keep", fateWhy: "" });
    await press(saveFinding, number, { part: "p1", fate: "repair" });
    expect(await gates(number, "judge")).toEqual(["settle:p1", "settle:p2"]);
    await press(saveFinding, number, {
      part: "p2",
      fateWhy: "half the tooth is left, and it works once a year",
    });
    await press(saveMending, number, { part: "p1", services: ["bond"] });
    const [bond] = (await job(number)).services;
    expect(bond).toMatchObject({ part: "p1", do: "bond", waitMinutes: 1440 });
    await press(saveService, number, {
      service: bond?.id ?? "",
      note: "drilled out at the ends of the crack",
    });
    expect(planOf(await job(number)).waits[0]).toMatchObject({ minutes: 1440 });
    expect(await onwards(number)).toBe("match");
    expect(await onwards(number)).toBe("lube");
    const told = await oilAndHome(number);
    expect(told[0]).toMatch(/^Bond foot \| Roughen both faces, degrease them/);
    expect(told.join("\n")).toContain(
      "crank gear goes back as it is: half the tooth is left, and it works once a year",
    );
    expect(await sheet(number)).toMatch(
      /left as it is: half the tooth is left.*Bonded: foot, drilled out at the ends of the crack/,
    );
  });

  it("a gear whose number is known need not be measured; one that is left as it is falls out of Match", async () => {
    const number = await at("judge");
    await press(saveFinding, number, { part: "p2", mode: "missing-teeth" });
    expect(await gates(number, "judge")).toEqual(["identity:p2"]);
    await press(readNumber, number, { part: "p2", read: "CG-44" });
    expect(await gates(number, "judge")).toEqual([]);
    await press(readNumber, number, { part: "p2", read: " " });
    expect(await gates(number, "judge")).toEqual(["identity:p2"]);
    await press(takeGot, number, {
      part: "p2",
      got: { from: "donor", says: "the other Crank 7 on the shelf", number: "", price: "", differs: "" },
    });
    expect(await gates(number, "judge")).toEqual([]);
    expect(await onwards(number)).toBe("match");
    expect((await matchView(number))?.parts).toHaveLength(1);
    expect(refusal(await press(takeStaying, number, { part: "p2", fate: "keep", says: "" }))).toBe(
      "says: Say in a few words why, or what is done to it",
    );
    await press(takeStaying, number, { part: "p2", fate: "keep", says: "two teeth, where it never meshes" });
    expect((await matchView(number))?.parts).toEqual([]);
    expect(await gates(number, "match")).toEqual([]);
    // what did not go in does not stand among the parts of the sheet
    expect(((await sheet(number)).split("Parts and lubricants")[1] ?? "").split("Tests")[0]).not.toContain(
      "crank gear",
    );
  });

  it("a second fault found in the rebuild: back to Judge; what was fitted before it stays, the rest is open again", async () => {
    const number = await at("judge");
    await press(saveNothingFailed, number, { nothing: "no-fault" });
    for (const stage of ["match", "lube"]) expect(await onwards(number)).toBe(stage);
    await press(saveWashed, number, { washed: true });
    await press(saveNoGrease, number, { why: "oil only" });
    await onwards(number);
    const keys = planOf(await job(number)).steps.map(lineKey);
    for (const line of keys.slice(0, -1)) await press(finishLine, number, { line, done: true });
    expect(await press(secondFault, number, { says: "the crank gear rocks on its shaft" })).toMatchObject({
      ok: true,
    });
    expect((await job(number)).stage).toBe("judge");
    expect((await judgeView(number))?.job.trouble).toBe("the crank gear rocks on its shaft");
    expect((await job(number)).linesDone).toHaveLength(keys.length - 1);
    await press(saveFinding, number, { part: "p2", mode: "cracked-hub", renew: false });
    const own = planOf(await job(number)).steps.findIndex((l) => "parts" in l && l.parts.includes("p2"));
    expect([...(await job(number)).linesDone].sort()).toEqual(keys.slice(0, own).sort());
    expect((await job(number)).nothingFailed).toBeUndefined();
    await press(saveFinding, number, { part: "p2", fate: "repair" });
    await press(saveMending, number, { part: "p2", services: ["bond"] });
    for (const stage of ["match", "lube", "rebuild"]) expect(await onwards(number)).toBe(stage);
    // it is judged: nobody is told of it again
    expect((await job(number)).trouble).toBeUndefined();
    expect((await rebuilt(number)).join("\n")).toMatch(/^Bond crank gear/);
    expect(await onwards(number)).toBe("hand-back");
    await home(number);
  });

  it("both of a pair are renewed once it is known which the other is", async () => {
    const number = await at(
      "judge",
      {},
      { parts: [...whole.parts, { id: "p3", name: "pinion", kind: "gear" }] },
    );
    await press(saveFinding, number, { part: "p2", mode: "worn" });
    expect(refusal(await press(saveFinding, number, { part: "p2", fate: "renew-pair", renew: true }))).toBe(
      "fate: Say first which gear it runs with: on the gear bench, under Mate",
    );
    await press(saveGearNotes, number, { part: "p2", notes: { mate: "p3" } });
    expect(await press(saveFinding, number, { part: "p2", fate: "renew-pair", renew: true })).toMatchObject({
      ok: true,
    });
    expect((await job(number)).parts.filter((p) => p.renew).map((p) => p.id)).toEqual(["p2", "p3"]);
  });

  it("several faults and decisions in one job", async () => {
    const number = await at(
      "judge",
      {},
      { parts: [...whole.parts, { id: "p3", name: "handle", kind: "bracket" }] },
    );
    await press(saveFinding, number, { part: "p3", mode: "bent", renew: false, fate: "repair" });
    expect(refusal(await press(saveMending, number, { part: "p3", services: ["straighten"] }))).toMatch(
      /^part: Did not come off with any step/,
    );
    await press(savePartAdded, number, { step: "s2", name: "second handle" });
    await press(saveFinding, number, { part: "p1", mode: "cracked" });
    await press(saveFinding, number, {
      part: "p2",
      mode: "worn",
      renew: false,
      fate: "keep",
      fateWhy: "within limit",
    });
    await press(saveFinding, number, { part: "p3", mode: "sound" });
    await press(saveFinding, number, { part: "p4", mode: "bent", renew: false, fate: "repair" });
    expect(await press(saveMending, number, { part: "p4", services: ["straighten"] })).toMatchObject({
      ok: true,
    });
    expect(await onwards(number)).toBe("match");
    await press(takeGot, number, {
      part: "p1",
      got: { from: "made", says: "printed, PETG, solid", number: "", price: "15", differs: "" },
    });
    expect(await onwards(number)).toBe("lube");
    await oilAndHome(number);
    expect(await sheet(number)).toMatch(/Foot made here, printed, PETG, solid 15\.00 €/);
  });
});

describe("a job that ends without its repair", () => {
  it("goes back as it was after a declined quote, with its fee: no new part, no service, the ledger closes", async () => {
    const number = await at(
      "match",
      { supply: "mains" },
      { services: [{ id: "v1", part: "p2", do: "bond" }], findings: [{ part: "p1", mode: "cracked" }] },
    );
    await press(saveFinding, number, { part: "p1", renew: true });
    expect((await endingView(number))?.ifDeclined).toBeGreaterThan(0);
    expect(refusal(await press(endJob, number, { how: "as-it-was", why: "", amount: "30" }))).toBe(
      "why: Say in a few words why",
    );
    expect(
      await press(endJob, number, { how: "as-it-was", why: "costs more than a new one", amount: "30" }),
    ).toMatchObject({ ok: true });
    expect((await job(number)).stage).toBe("rebuild");
    const told = await rebuilt(number);
    expect(planOf(await job(number)).steps.filter((l) => l.kind === "fit")).toHaveLength(whole.steps.length);
    expect(told.join()).not.toMatch(/new|Bond/);
    expect(await onwards(number)).toBe("hand-back");
    // it was opened, and hangs on the mains: it is tested all the same
    expect(await home(number)).toEqual(["marked", "cord", "earth-bond", "insulation", "protective-current"]);
    expect(await sheet(number)).toMatch(
      /The unit goes back together as it was, not repaired\. Costs more than a new one\. 30\.00 € due/,
    );
  });
  it.each([
    ["scrapped", [], /stays here and is disposed of/],
    ["bought-out", [], /the shop has bought it.*40\.00 € paid to you/],
    ["in-pieces", ["all-pieces", "marked"], /goes back in pieces/],
  ] as const)("%s: nothing is put together, and it leaves the board", async (how, checks, says) => {
    const number = await at("judge");
    await press(endJob, number, {
      how,
      why: "no part is to be had",
      amount: how === "bought-out" ? "40" : "",
    });
    expect((await job(number)).stage).toBe("hand-back");
    expect(await home(number)).toEqual(checks);
    expect(await sheet(number)).toMatch(says);
    expect(await sheet(number)).toContain("It was not examined.");
  });
  it("can be taken up again until it went home", async () => {
    const number = await at("judge");
    await press(endJob, number, {
      how: "referred",
      why: "the mains inlet is part of the fixed wiring",
      amount: "",
    });
    expect(await press(takeUpAgain, number, {})).toMatchObject({ ok: true });
    expect(await job(number)).toMatchObject({ stage: "judge" });
    expect((await job(number)).ending).toBeUndefined();
    await press(endJob, number, { how: "scrapped", why: "beyond repair", amount: "" });
    await home(number);
    expect(refusal(await press(takeUpAgain, number, {}))).toBe("ending: It went home already");
    expect(refusal(await press(endJob, number, { how: "scrapped", why: "beyond repair", amount: "" }))).toBe(
      "how: It went home already",
    );
  });
  it("no stage but the last asks for anything more", async () => {
    const number = await at("judge");
    await press(endJob, number, { how: "scrapped", why: "beyond repair", amount: "" });
    for (const stage of STAGES.filter((s) => s !== "hand-back" && s !== "take-in" && s !== "strip"))
      expect([stage, await gates(number, stage)]).toEqual([stage, []]);
  });
});

describe("a job that waits, and one that comes back", () => {
  it("waits with its reason and its day, and goes on", async () => {
    const number = await at("match");
    expect(refusal(await press(waitFor, number, { what: "", until: "" }))).toBe(
      "what: Say in a few words what it waits for",
    );
    expect(
      await press(waitFor, number, { what: "a pinion, three weeks", until: "2026-12-20" }),
    ).toMatchObject({ ok: true });
    expect((await matchView(number))?.frame.standing).toEqual(["waits for a pinion, three weeks"]);
    await press(waitNoMore, number, {});
    expect((await job(number)).waiting).toBeUndefined();
  });
  it("is tied to its first job, and its work is not charged", async () => {
    const first = await at("judge", { serial: "CV-7" });
    expect(refusal(await press(comesBackFrom, first, { of: first }))).toBe(
      "of: A job does not come back from itself",
    );
    const number = await at("judge", { serial: "CV-7" });
    expect((await takeInView(number))?.earlier).toEqual([]);
    expect(refusal(await press(comesBackFrom, number, { of: first }))).toMatch(/was not handed back yet/);
    expect(refusal(await press(comesBackFrom, number, { of: "J-9999" }))).toBe("of: There is no job J-9999");
    await press(endJob, first, { how: "as-it-was", why: "no fault", amount: "" });
    await rebuilt(first);
    await onwards(first);
    await home(first);
    // Take in asks about it, by the serial number alone
    expect((await takeInView(number))?.earlier.map((e) => e.number)).toEqual([first]);
    expect((await takeInView(await at("judge", { serial: "CV-8" })))?.earlier).toEqual([]);
    expect(await press(comesBackFrom, number, { of: first })).toMatchObject({ ok: true });
    const ground = await basketGroundOf(await job(number), await shopSettings());
    expect(jobBasketProven(ground, "least cost", {}).quote?.lines.filter((l) => l.what === "work").map((l) => l.amount)).toEqual([0, 0, 0]); // biome-ignore format: one line
    expect(await sheet(number)).toContain(`within the warranty of ${first}`);
  });
});

describe("a stage that was passed", () => {
  it("says on every screen what was opened at it since", async () => {
    const number = await at(
      "lube",
      {},
      { x: { demontage: { job: { consent: true, stripFinished: true, nothingFailed: "service" } } } },
    );
    expect((await matchView(number))?.frame.openBefore).toEqual({});
    await press(saveFinding, number, { part: "p1", mode: "cracked" });
    expect((await matchView(number))?.frame.openBefore).toEqual({
      match: "Say what replaces the foot, or where it comes from.",
    });
    await press(takeGot, number, {
      part: "p1",
      got: { from: "kit", says: "", number: "", price: "", differs: "" },
    });
    expect((await matchView(number))?.frame.openBefore).toEqual({});
  });
});

describe("the tests on the sheet", () => {
  it("are those of the shop's own limits, with the limit, its source and the tester", async () => {
    const number = await at(
      "hand-back",
      { supply: "mains" },
      { x: { demontage: { job: { protectionClass: "II" } } } },
    );
    await changeElectrical({ touchMa: 0.25, tester: "Orrel T2" });
    expect(refusal(await press(answerCheck, number, { check: "touch-current", value: 0.4 }))).toMatch(
      /above the limit of 0.25 mA/,
    );
    await press(answerCheck, number, { check: "touch-current", value: 0.1 });
    expect(await sheet(number)).toMatch(
      /Touch current, switched on 0\.1 mA.*Limit: at most 0\.25 mA; Orrel T2/,
    );
    await changeElectrical({ touchMa: null, tester: "" });
  });
});

describe("what a screen says of a line", () => {
  it("calls a service by what is done", async () => {
    const number = await at(
      "rebuild",
      {},
      { services: [{ id: "v1", part: "p2", do: "straighten", note: "cold, between soft jaws" }] },
    );
    const now: Job = await job(number);
    const line = planOf(now).steps.find((l) => l.kind === "service");
    if (!line) throw new Error("the plan has the service");
    expect(lineInWords(now, line)).toMatchObject({
      title: "Straighten crank gear",
      note: "cold, between soft jaws",
    });
  });
  it("a price of a new unit is an amount or nothing, and a number is one of the catalogue", async () => {
    const number = await at("match");
    expect(refusal(await press(newUnit, number, { price: "dear" }))).toMatch(/^price: Write it as an amount/);
    expect(refusal(await press(choose, number, { part: "p2", chosen: "NO-SUCH" }))).toBe(
      "chosen: There is no part NO-SUCH in the catalogue",
    );
  });
});
