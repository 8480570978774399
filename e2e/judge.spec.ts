import { writeFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";
import { cli, juicerCopy } from "./units";

async function take(page: Page, label: string, value: string): Promise<void> {
  const field = page.getByLabel(`${label}, mm`, { exact: true });
  await field.fill(value);
  await field.press("Enter");
  await expect(field).toHaveValue("");
  await field.blur();
}

/** As an instrument types: far faster than fingers, into whatever has the focus. */
async function caliperTypes(page: Page, text: string): Promise<void> {
  await page.evaluate(
    (keys) => {
      for (const key of keys)
        document.body.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true }));
    },
    [...text, "Enter"],
  );
}

/**
 * Until the screen that was gone to is the one that listens: a script is faster than the change of screens, a
 * hand is not.
 */
async function at(page: Page, address: RegExp, heading: string): Promise<void> {
  await page.waitForURL(address);
  await expect(page.getByRole("heading", { level: 1, name: new RegExp(`^${heading}`) })).toBeVisible();
  await page.waitForTimeout(150);
}

async function drag(page: Page, from: number, to: number): Promise<void> {
  const middle = async (tooth: number): Promise<readonly [number, number]> => {
    const box = await page.getByRole("button", { name: new RegExp(`^Tooth ${tooth}(,|$)`) }).boundingBox();
    if (!box) throw new Error(`no tooth ${tooth}`);
    return [box.x + box.width / 2, box.y + box.height / 2];
  };
  await page.mouse.move(...(await middle(from)));
  await page.mouse.down();
  for (let t = from; t <= to; t++) await page.mouse.move(...(await middle(t)));
  await page.mouse.up();
}

test("a nylon wheel with five teeth gone is measured, named, drawn and marked, its mate found worn, its cause found", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const number = await juicerCopy();

  await test.step("its marks are taken away, and the five teeth marked by one drag, the edges of the blow as broken part-way", async () => {
    await hand.open(`/jobs/${number}/judge/gear/p7`);
    await expect(page.getByRole("status", { name: "Extent" })).toHaveText(
      /5 missing in one run \(teeth 10 to 14\), 2 chipped/,
    );
    await hand.button(/Missing/).click();
    await drag(page, 10, 14);
    await expect(page.getByRole("status", { name: "Extent" })).toHaveText("2 chipped");
    await drag(page, 10, 14);
    await expect(page.getByRole("status", { name: "Extent" })).toHaveText(
      /5 missing in one run \(teeth 10 to 14\), 2 chipped/,
    );
    await hand.button(/Part broken/).click();
    for (const tooth of [9, 15]) {
      await page.getByRole("button", { name: `Tooth ${tooth}, chipped` }).click();
      await expect(page.getByRole("button", { name: `Tooth ${tooth}, broken` })).toBeVisible();
    }
  });

  await test.step("the reading that is asked for next is typed by the caliper itself, and settles the name", async () => {
    await expect(page.getByText(/To be sure, measure the span over 7 teeth/)).toBeVisible();
    await page.getByRole("heading", { name: /second-stage wheel/i }).click();
    await caliperTypes(page, "19.80mm");
    await expect(page.getByLabel("Span over 7, reading")).toHaveText("19.80");
    await expect(page.getByText(/± 0.02 · caliper ·/).last()).toBeVisible();
    // its digits struck none of the screen's keys
    await expect(hand.button(/Part broken/)).toHaveAttribute("aria-pressed", "true");
    const name = page.getByRole("list", { name: "What it is" }).getByRole("listitem").first();
    await expect(name).toContainText("module 1 · 20° · helix 18°");
    await hand.button(/Accept/).click();
    await expect(page.getByText(/Named: 41 teeth, module 1, 20°, helix 18°/)).toBeVisible();
  });

  await test.step("its sizes are compared, and another wheel is laid over it", async () => {
    await page.keyboard.press("z");
    const row = (name: string) => page.getByRole("row", { name: new RegExp(name) });
    await expect(row("span over 5")).toContainText("13.95");
    await expect(row("span over 5")).toContainText("✓ ±");
    await expect(row("tip diameter")).toContainText("45.11");
    const over = page.getByLabel("Overlay another gear");
    const option = await over.locator("option", { hasText: "VLB-42-242" }).textContent();
    await over.selectOption({ label: option ?? "" });
    await expect(page.locator("svg path[fill-rule=evenodd]")).toHaveCount(1);
  });

  await test.step("its mate is measured and found worn", async () => {
    await page.keyboard.press("m");
    await page.getByLabel("It meshes with").selectOption({ label: "motor pinion" });
    await expect(page.getByRole("status", { name: "The pair" })).toContainText("not measured");
    await hand.button(/drives or driven/).click();
    await hand.button(/To the motor pinion/).click();
    await at(page, /gear\/p11$/, "Motor pinion");
    await hand.write("Teeth, counted", "9");
    await page.getByLabel("Kind", { exact: true }).selectOption("helical");
    await hand.button(/Hand: not noted/).click();
    await hand.button(/Hand: right/).click();
    await expect(hand.button(/Hand: left/)).toBeVisible();
    await take(page, "Tip diameter", "11.94");
    // nominal with its shift of 0.4: 4.847
    await take(page, "Span over 2", "4.70");
    await take(page, "Span over 2", "4.72");
    await expect(page.getByLabel("Span over 2, reading")).toHaveText("4.71");
    await page.keyboard.press("m");
    await expect(page.getByLabel("It meshes with")).toHaveValue("p7");
    await hand.button(/To the second-stage wheel/).click();
    await at(page, /gear\/p7$/, "Second-stage wheel");
    await hand.button(/Mate$/).click();
    await expect(page.getByRole("status", { name: "The pair" })).toContainText(
      /lost 0\.0[89] mm of tooth, more than 0\.05 mm: renew both/,
    );
    await expect(page.getByRole("list", { name: "How they mesh" })).toContainText("right meets left");
    await expect(page.getByLabel("Contact ratio")).toHaveText(/^1\.\d\d$/);
  });

  await test.step("why: something jammed, with its reasons; the mate is named too; the verdict is kept", async () => {
    await page.keyboard.press("y");
    await at(page, /why$/, "Why it failed");
    await expect(hand.button(/This was it/)).toBeVisible();
    const causes = page.getByRole("region", { name: "What may have begun it" });
    await expect(causes.getByRole("listitem").first()).toContainText("Something jammed");
    await expect(causes.getByRole("list")).toContainText("A worn mate ate it");
    await expect(page.getByRole("figure", { name: "What failed first, what followed" })).toContainText(
      "teeth broke under one blow",
    );
    // what settles most is asked, answered by one press, and struck by one
    const next = page.getByRole("region", { name: "The next look" });
    const asked = (await next.getByRole("heading").textContent()) ?? "";
    await hand.button("No, it is not so").click();
    await expect(page.getByText(`${asked} No.`)).toBeVisible();
    // another look, or none that settles anything
    await expect(next.getByRole("heading", { name: asked, exact: true })).toHaveCount(0);
    await hand.button(/^Strike this look/).click();
    await expect(next.getByRole("heading")).toHaveText(asked);
    // a cause that is picked with the finger is kept by the pedal
    await causes.getByRole("button").first().click();
    await expect(page.getByRole("list", { name: "What speaks for and against it" })).toContainText(
      "teeth gone next to each other",
    );
    await page.keyboard.press("Space");
    await expect(hand.button(/✓ This was it/)).toBeVisible();
    // a cause that the signs do not speak of is chosen all the same, and taken back
    await page
      .getByLabel("Another cause, that is not among these")
      .selectOption("A spring broke, tired or came off");
    await expect(causes.getByRole("list")).toContainText("✓ A spring broke, tired or came off");
    await page.keyboard.press("Space");
    await expect(causes.getByRole("list")).not.toContainText("A spring broke, tired or came off");
    await hand.write("In your own words; it stands above the rules", "A cherry stone went through it.");
    await expect(page.getByRole("list", { name: "How far the work must go" })).toContainText(
      /wash the whole case/i,
    );
    await hand.reload();
    await expect(hand.button(/✓ This was it/)).toBeVisible();
    await expect(page.getByLabel("In your own words; it stands above the rules")).toHaveValue(
      "A cherry stone went through it.",
    );
  });

  await test.step("what to do is argued with this job's facts, decided, and kept with its reason", async () => {
    await page.keyboard.press("j");
    await at(page, /judge$/, "Masticating juicer");
    await hand.button(/What to do/).click();
    await expect(hand.button(/▸ Renew both of the pair/)).toBeVisible();
    await expect(page.getByRole("list", { name: "Reasons" })).toContainText(
      "the mate is worn beyond its limit",
    );
    await hand.button(/Repair it/).click();
    await expect(page.getByRole("list", { name: "Reasons" })).toContainText("teeth are not mended");
    await hand.button(/Renew both of the pair/).click();
    await hand.button(/Decide: renew both of the pair/).click();
    await expect(hand.button(/✓ Renew both of the pair/)).toBeVisible();
    await expect(page.getByLabel("Why", { exact: true })).toHaveValue(/mate is worn/);
  });
});

test("a count that is broken off comes from an arc of sound teeth", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge/gear/p7`);
  await hand.write("Teeth, counted", "");
  await hand.write("No full count? Sound pitches", "12");
  const arc = page.getByLabel("Arc of 12 pitches, °", { exact: true });
  await arc.fill("105");
  await arc.press("Enter");
  await expect(page.getByRole("list", { name: "What it is" }).getByRole("listitem").first()).toContainText(
    "41 teeth",
  );
  await page.getByLabel("Teeth, counted").fill("two");
  await page.getByLabel("Teeth, counted").blur();
  await expect(page.getByText(/tooth count must be a whole number/i).first()).toBeVisible();
});

test("the practice caliper is slid, and sends its reading with its source", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge/gear/p7`);
  await page.keyboard.press("c");
  await expect(page.getByText("goes to: Span over 7")).toBeVisible();
  await page.getByLabel("Jaw of the practice caliper, mm").fill("19.86");
  const shows = page.getByLabel("Practice caliper shows");
  await expect(shows).toHaveText(/^19\.(8|9)\d mm$/);
  const read = ((await shows.textContent()) ?? "").slice(0, 5);
  await hand.button(/Send/).click();
  await expect(page.getByLabel("Span over 7, reading")).toHaveText(read);
  await expect(page.getByText(/practice caliper ·/)).toBeVisible();
});

test("a span over a count that was not asked for: the tile is set to it, and the reading lies there", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge`);
  await page
    .getByRole("region", { name: "Parts" })
    .getByRole("button", { name: /output wheel/ })
    .click();
  await page.keyboard.press("g");
  await page.waitForURL(/gear/);
  const fewer = page.getByRole("button", { name: /^Span over \d+: over one tooth fewer$/ }).first();
  const asked = Number(/\d+/.exec((await fewer.getAttribute("aria-label")) ?? "")?.[0]);
  await page.getByRole("button", { name: `Span over ${asked}: over one tooth fewer` }).click();
  const label = `Span over ${asked - 1}`;
  await page.getByLabel(`${label}, mm`).fill("9.87");
  await page.getByLabel(`${label}, mm`).press("Enter");
  await expect(page.getByLabel(`${label}, reading`)).toHaveText("9.87");
  await hand.reload();
  await expect(page.getByLabel(`${label}, reading`)).toHaveText("9.87");
});

test("the rhythm of a click names its shaft; what one tooth off makes; which gear is the fuse, and a warning at a swap", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge/train`);
  await expect(page.getByRole("img", { name: /Train: motor 1380 rpm/ })).toBeVisible();
  await page.keyboard.press("c");
  // the output turned by hand, once in 3.2 s; the lay shaft clicks 47/11 as often
  await page.clock.install();
  // the taps are timed by the page's clock: it stands still while the machine is busy between two of them
  await page.clock.pauseAt(new Date(Date.now() + 60_000));
  const turn = 3200;
  const events = [
    ...Array.from({ length: 16 }, (_, i) => ({ at: 300 + (i * turn * 11) / 47, key: "x" })),
    ...Array.from({ length: 4 }, (_, i) => ({ at: 500 + i * turn, key: "b" })),
  ].sort((a, b) => a.at - b.at);
  let now = 0;
  for (const e of events) {
    await page.clock.runFor(Math.round(e.at - now));
    now = e.at;
    await page.keyboard.press(e.key);
  }
  await page.clock.resume();
  const where = page.getByRole("list", { name: "Where the click comes from" });
  await expect(where.getByRole("listitem").first()).toContainText(
    "once per turn of lay shaft, so look at its 41-tooth gear, its 11-tooth gear or its bearings",
  );

  await page.keyboard.press("o");
  await page.getByLabel("One tooth off at").selectOption("m2");
  await expect(page.getByRole("row", { name: /output/ }).last()).toContainText("7.66°");

  await page.keyboard.press("f");
  await expect(page.getByRole("status", { name: "Fuse" })).toContainText(
    /41-tooth gear on lay shaft .* breaks first/,
  );
  await page.getByLabel("Swap which gear").selectOption({ label: "41-tooth gear on lay shaft" });
  await expect(page.getByRole("status", { name: "After the swap" })).toContainText(
    /is a fuse by design\. Stronger, it moves the break to the 47-tooth gear on output/,
  );
});

test("a train is written down mesh by mesh; one that locks, or cannot be, is said", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge/train`);
  await page.keyboard.press("a");
  const third = page.getByRole("group", { name: "Mesh 3" });
  await expect(third).toBeVisible();
  await third.getByLabel("Kind of mesh 3").selectOption("planetary");
  await expect(third.getByLabel("Planet teeth")).toHaveValue("24");
  // what it begins with is nobody's count: until somebody says so nothing is worked out by it
  await expect(page.getByRole("row", { name: /shaft 4/ })).toContainText("?");
  await third.getByRole("button", { name: "So they are" }).click();
  await expect(page.getByRole("row", { name: /shaft 4/ })).toContainText("11.82 rpm");
  await third.getByLabel("planets", { exact: true }).fill("5");
  await third.getByLabel("planets", { exact: true }).blur();
  await expect(page.getByRole("list", { name: "What is wrong with the train" })).toContainText(
    "5 planets cannot sit evenly",
  );
  const teeth = page.getByRole("group", { name: "Mesh 1" }).getByLabel("teeth").first();
  await teeth.fill("nine");
  await teeth.blur();
  await expect(page.getByText("Must be a whole number of teeth").first()).toBeVisible();
  await teeth.fill("10");
  await teeth.blur();
  await expect(page.getByRole("row", { name: /^lay shaft/ })).toContainText("336.6 rpm");
  await hand.reload();
  await expect(page.getByRole("row", { name: /^lay shaft/ })).toContainText("336.6 rpm");
});

test("a belt is worked out by its centres, and which way the output turns by the worm's hand", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge/train`);
  await page
    .getByRole("group", { name: /Seen from its free end, motor turns/ })
    .getByRole("button", { name: "clockwise", exact: true })
    .click();
  await page.keyboard.press("a");
  const third = page.getByRole("group", { name: "Mesh 3", exact: true });
  await third.getByLabel("Kind of mesh 3").selectOption("belt");
  await expect(page.getByRole("list", { name: "What is wrong with the train" })).toContainText(
    "are only a beginning: type what you counted",
  );
  await third.getByRole("button", { name: "So they are" }).click();
  for (const [label, value] of [
    ["Its pitch, mm", "3"],
    ["Centres, mm", "80"],
  ] as const) {
    await third.getByLabel(label).fill(value);
    await third.getByLabel(label).blur();
  }
  // 12 and 36 teeth of 3 mm, 80 mm apart: by hand 2 C cos α + (d1 + d2) π/2 + α (d2 − d1) = 233.6 mm
  await expect(third.getByRole("status", { name: "How the belt lies" })).toContainText("78 teeth, 233.6 mm");
  await third.getByLabel("Kind of mesh 3").selectOption("worm");
  await third.getByLabel("starts").fill("1");
  await third.getByLabel("starts").blur();
  await third.getByRole("button", { name: "left-hand" }).click();
  await third
    .getByRole("group", { name: /its end seen from the/ })
    .getByRole("button", { name: "right" })
    .click();
  const output = page.getByRole("row", { name: /^shaft 4/ });
  await expect(output).toContainText("clockwise, looking at the wheel on shaft 4 with the worm below");
  await third.getByLabel("Kind of mesh 3").selectOption("smooth-belt");
  await third.getByLabel("Ø, mm").first().fill("-4");
  await third.getByLabel("Ø, mm").first().blur();
  await expect(page.getByText("A diameter is above 0 mm").first()).toBeVisible();
});

test("hardware is named by caliper and noted; a screw is capped by what it goes into", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge/hardware`);
  await take(page, "Bore", "8.01");
  const list = page.getByRole("list", { name: "What it may be" });
  await expect(list).toContainText("608");
  await expect(list).toContainText("688");
  await take(page, "Outside", "0.866 in");
  await expect(list.getByRole("listitem").first()).toContainText("99+ %");
  await take(page, "Width", "7.02");
  await hand.button(/Note it: 608/).click();
  await expect(page.getByRole("list", { name: "Noted on this job" })).toContainText(/608, 99\+ % sure/);
  await page.keyboard.press("3");
  await page.getByLabel("Pin, mm", { exact: true }).fill("three");
  await page.getByLabel("Pin, mm", { exact: true }).press("Enter");
  await expect(page.getByText("“three” is no length: type it like 8.02 or 5/16 in")).toBeVisible();
  await take(page, "Pin", "3.36");
  await expect(page.getByText(/2\.9 mm or 3\/32 in punch/)).toBeVisible();
  await page.getByLabel("Thread", { exact: true }).fill("ST3.5");
  await expect(page.getByLabel("Tightening torque")).toHaveText("1.00");
  await page.getByLabel("Thread", { exact: true }).fill("M7.3");
  await expect(page.getByText(/write it like M4, M8×1, ST3\.5, #8-32, 2BA or 1\/4 BSW/)).toBeVisible();
  await hand.reload();
  await expect(page.getByText(/2\.9 mm or 3\/32 in punch/)).toBeVisible();
});

test("a belt, a capacitor and a brush are named by what is seen and printed; a maker's figure that cannot be is asked about", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge/hardware`);
  await page.keyboard.press("6");
  await expect(page.getByText(/say which shape it has/)).toBeVisible();
  await hand.button("toothed").click();
  await take(page, "Over 10 teeth or ribs", "50.05");
  const list = page.getByRole("list", { name: "What it may be" });
  await expect(list).toContainText("toothed belt T5");
  await expect(list).toContainText("toothed belt 5M");
  await hand.button("round").click();
  await expect(list).not.toContainText("toothed belt T5");
  await page.getByLabel("Teeth, counted all round").fill("112");
  await expect(page.getByText(/pitch length 560 mm/)).toBeVisible();
  await page.keyboard.press("Escape");
  await hand.button(/Capacitor/).click();
  await page.getByLabel("What is printed on it").fill("red");
  await expect(page.getByText(/no value is read from that/)).toBeVisible();
  await page.getByLabel("What is printed on it").fill("104K 275V~ X2");
  await hand.button(/Note it: capacitor 100 nF/).click();
  await expect(page.getByRole("list", { name: "Noted on this job" })).toContainText(
    "capacitor 100 nF, ±10 % · 275 V AC · class X2",
  );
  await page.getByLabel("The maker says, if anything").fill("150 Nm");
  await expect(page.getByText(/150 N m is .* times what M4 stands here/)).toBeVisible();
  await page.getByLabel("The maker says, if anything").fill("tight");
  await expect(page.getByText(/“tight” is no torque and no angle/)).toBeVisible();
  await hand.reload();
  await expect(page.getByLabel("What is printed on it")).toHaveValue("104K 275V~ X2");
});

test("a picture of the finding is taken at the part", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await juicerCopy()}/judge`);
  await expect(page.getByText("facing: cross slot up")).toBeVisible();
  await page.keyboard.press("i");
  await expect(page.getByRole("img", { name: "practice camera" })).toBeVisible();
  await hand.button(/Take it/).click();
  await expect(page.getByText("as it was found")).toBeVisible();
  await hand.reload();
  await expect(page.getByText("as it was found")).toBeVisible();
});

test("a bush is judged by its play on its shaft", async ({ page }) => {
  const hand = new BenchHand(page);
  const file = {
    format: "demontage-job",
    version: 1,
    unit: { kind: "mill", supply: "hand" },
    parts: [{ id: "p1", name: "output bush", kind: "bush", material: "PA" }],
    steps: [{ id: "s1", action: "press-out", parts: ["p1"], needs: [] }],
  };
  writeFileSync("test-results/bush.json", JSON.stringify(file));
  const { number } = JSON.parse(cli(["job", "import", "test-results/bush.json", "--as-new"])) as {
    number: string;
  };
  await hand.open(`/jobs/${number}/judge`);
  const read = async (label: string, value: string): Promise<void> => {
    await page.getByLabel(`${label}, mm`, { exact: true }).fill(value);
    await page.getByLabel(`${label}, mm`, { exact: true }).press("Enter");
  };
  await read("Bore", "nothing");
  await expect(page.getByText(/“nothing” is no length/).first()).toBeVisible();
  await read("Bore", "8.21");
  await read("Its shaft", "7.98");
  await hand.button(/0\.23 mm of play.*take it as found/).click();
  await expect(hand.button(/worn$/)).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByLabel("Extent and cause, in words")).toHaveValue(/0\.23 mm of play/);
  await hand.button(/What to do/).click();
  await expect(hand.button(/▸ Renew it/)).toBeVisible();
});
