import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { get } from "node:http";
import { networkInterfaces, tmpdir } from "node:os";
import { join } from "node:path";
import { expect, type Page, test } from "@playwright/test";
import { CHROMIUM, serveBuilt, stop } from "../scripts/serve-built";
import { BenchHand } from "./bench-hand";

const PORT = 4673;
const HERE = `https://localhost:${PORT}`;
const address = Object.values(networkInterfaces())
  .flatMap((all) => all ?? [])
  .find((a) => !a.internal && a.family === "IPv4")?.address;
/** As another computer reaches the shop; where this one is on no net, as by a program that stands between. */
const there = `https://${address ?? "localhost"}:${PORT}`;
const fromOutside: Record<string, string> = address
  ? {}
  : { "x-forwarded-for": "192.0.2.7", "x-forwarded-proto": "https" };
let folder = "";
let server: Awaited<ReturnType<typeof serveBuilt>>;
test.use({ ignoreHTTPSErrors: true });
test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "door-"));
  server = await serveBuilt(PORT, folder, ["--host", "0.0.0.0"]);
});
test.afterAll(async () => {
  await stop(server);
  rmSync(folder, { recursive: true, force: true });
});

async function signIn(page: Page, name: string, pin: string): Promise<void> {
  await page.getByRole("button", { name }).click();
  for (const figure of pin) await page.getByRole("button", { name: figure, exact: true }).click();
  await page.getByRole("button", { name: "Sign in" }).click();
}

test("a tablet on the shop’s net is paired once, somebody signs in by a PIN, does what they may, and it stands in the history", async ({
  page,
  browser,
}) => {
  const hand = new BenchHand(page);
  // at the shop's own screen nothing is asked
  await hand.open(`${HERE}/people`);
  for (const [name, role, pin] of [
    ["Ines Harrow", "bench", "4071"],
    ["Ola Brandt", "desk", "7305"],
  ] as const) {
    await page.getByLabel("Name", { exact: true }).fill(name);
    await page.getByLabel("PIN, 4 to 8 figures").fill(pin);
    await page.getByLabel("May do", { exact: true }).selectOption(role);
    await hand.button(/Add them$/).click();
    await expect(
      page.getByRole("region", { name: "People" }).getByRole("listitem").filter({ hasText: name }),
    ).toBeVisible();
  }
  await page.getByLabel("Name", { exact: true }).fill("Somebody");
  await page.getByLabel("PIN, 4 to 8 figures").fill("1234");
  await hand.button(/Add them$/).click();
  await expect(page.getByRole("alert").filter({ hasText: "guess" })).toBeVisible();
  await hand.button(/Pair a device/).click();
  const code =
    /[A-Z2-9]{4} [A-Z2-9]{4}/.exec(
      (await page.getByRole("status", { name: "Pairing code" }).textContent()) ?? "",
    )?.[0] ?? "";

  const tablet = await (
    await browser.newContext({
      ignoreHTTPSErrors: true,
      extraHTTPHeaders: fromOutside,
      viewport: { width: 1280, height: 800 },
    })
  ).newPage();
  await tablet.goto(`${there}/jobs/J-0001/judge`);
  await expect(tablet.getByRole("heading", { name: "Pair this device with the shop" })).toBeVisible();
  await tablet.getByLabel("Code").fill("WRONGONE");
  await tablet.getByLabel("What this device is called").fill("Tablet at the bench");
  await tablet.getByRole("button", { name: /Pair it/ }).click();
  await expect(tablet.getByRole("alert").filter({ hasText: "not good" })).toBeVisible();
  await tablet.getByLabel("Code").fill(code);
  await tablet.getByRole("button", { name: /Pair it/ }).click();
  await tablet.waitForURL(/sign-in/);
  await signIn(tablet, "Ines Harrow", "9999");
  await expect(tablet.getByRole("alert").filter({ hasText: "That is not the PIN." })).toBeVisible();
  await signIn(tablet, "Ines Harrow", "4071");
  await tablet.waitForURL(`${there}/`);
  const there1 = new BenchHand(tablet);
  await there1.button(/Take in/).click();
  await tablet.waitForURL(/take-in$/);
  await there1.write("Kind of unit", "sock knitter");
  const job = tablet.url().replace(/\/take-in$/, "");
  await tablet.goto(`${job}/history`);
  await expect(tablet.getByRole("listitem").filter({ hasText: "kind: sock knitter" })).toContainText(
    "Ines Harrow, Tablet at the bench",
  );

  // what is the owner's is not hers
  await tablet.goto(`${there}/people`);
  await expect(tablet.getByText("This is for the owner.")).toBeVisible();
  await there1.open(`${there}/settings`);
  await tablet.getByLabel(/^Name of the shop/).fill("Mine now");
  await tablet.getByLabel(/^Name of the shop/).blur();
  await expect(tablet.getByRole("alert").filter({ hasText: "for the owner" })).toContainText(
    "Ines Harrow is signed in as bench",
  );
  expect((await tablet.request.post(`${there}/api/backup`, { headers: { origin: there } })).status()).toBe(
    403,
  );

  // the front desk takes in and does not strip
  await there1.open(there);
  await tablet.getByRole("button", { name: /Sign out/ }).click();
  await tablet.waitForURL(/sign-in/);
  await signIn(tablet, "Ola Brandt", "7305");
  await tablet.waitForURL(`${there}/`);
  await there1.open(`${job}/take-in`);
  await there1.write("Maker", "Corvane");
  await tablet.goto(`${job}/history`);
  await expect(tablet.getByRole("listitem").filter({ hasText: "maker: Corvane" })).toContainText(
    "Ola Brandt, Tablet at the bench",
  );

  // let go at the shop's screen, it is out, also in the middle of its work
  await there1.open(`${job}/take-in`);
  await page.getByRole("button", { name: "Let go" }).click();
  await expect(page.getByRole("button", { name: "Let go" })).toHaveCount(0);
  await expect(tablet.getByRole("alert", { name: "The shop’s computer" })).toContainText(
    "Nobody is signed in on this screen any more",
    { timeout: 20_000 },
  );
  await tablet.getByLabel("Model", { exact: true }).fill("HR-9");
  await tablet.getByLabel("Model", { exact: true }).blur();
  await expect(tablet.getByRole("alert").filter({ hasText: "Not saved" }).first()).toContainText(
    "nobody is signed in on this screen any more",
  );
  await tablet.reload();
  await expect(tablet.getByRole("heading", { name: "Pair this device with the shop" })).toBeVisible();
  await hand.reload();
  const log = page.getByRole("region", { name: "Who came" });
  for (const line of [
    "Ines Harrow signed in",
    "Ola Brandt signed in",
    "refused to sign in: That is not the PIN.",
    "refused to pair a device",
  ])
    await expect(log).toContainText(line);
  await tablet.context().close();
});

test("nothing of the shop is told to a device that is not paired, whatever it asks for", async ({
  playwright,
}) => {
  const stranger = await playwright.request.newContext({
    ignoreHTTPSErrors: true,
    maxRedirects: 0,
    extraHTTPHeaders: fromOutside,
  });
  for (const path of [
    "/",
    "/jobs/J-0001/take-in",
    "/api/jobs/J-0001/file",
    "/api/parts/table/parts",
    "/api/known/customer?typed=",
    "/api/state",
    "/people",
    "/backup",
    "/sign-in",
  ]) {
    const answer = await stranger.get(there + path);
    expect([path, answer.status()]).toEqual([path, 401]);
    expect(await answer.json()).toEqual({ says: "This device is not paired with the shop." });
  }
  // with a pass that it wrote itself, by another name, as a server action, or without encryption
  const pass = `${"0".repeat(48)}.${Buffer.from(JSON.stringify({ here: true, role: "owner", name: "", device: "" })).toString("base64url")}`;
  expect((await stranger.get(`${there}/people`, { headers: { "x-demontage-pass": pass } })).status()).toBe(
    401,
  );
  expect(
    (
      await stranger.post(`${there}/pair`, { headers: { "next-action": "00", origin: there }, data: "[]" })
    ).status(),
  ).not.toBe(200);
  expect((await stranger.get(`${there}/`, { headers: { host: "shop.example" } })).status()).toBe(421);
  await stranger.dispose();
  const plain = await new Promise<string>((done) =>
    get({ host: address ?? "localhost", port: PORT, path: "/" }, (r) => done(String(r.statusCode))).on(
      "error",
      (e) => done(e.message),
    ),
  );
  expect(plain).not.toBe("200");
});

test("a page of another site learns nothing from the shop’s own browser, and changes nothing", async ({
  browser,
}) => {
  // its name points at this computer, as a name that was rebound does
  const { args, executablePath } = CHROMIUM;
  const caught = await browser.browserType().launch({
    executablePath,
    args: [
      ...args,
      `--host-resolver-rules=MAP evil.example 127.0.0.1:${PORT}`,
      "--ignore-certificate-errors",
    ],
  });
  const page = await caught.newPage();
  const answer = await page.goto("https://evil.example/");
  expect(answer?.status()).toBe(421);
  expect(await page.content()).toContain("not called by that name");
  const lure = join(folder, "lure.html");
  writeFileSync(lure, `<iframe src="${HERE}/" id="f"></iframe>`);
  await page.goto(`file://${lure}`);
  const sent = await page.evaluate(async (shop) => {
    const form = new FormData();
    form.set("file", new Blob(["{}"]));
    const tries = await Promise.all(
      ["/api/jobs/from-file", "/api/parts/import", "/api/backup", "/api/door/pair"].map((path) =>
        fetch(shop + path, { method: "POST", body: form, mode: "no-cors", credentials: "include" }).then(
          () => "sent",
          () => "stopped",
        ),
      ),
    );
    return tries;
  }, HERE);
  expect(sent).toHaveLength(4);
  for (const path of ["/api/jobs/from-file", "/api/parts/import", "/api/backup", "/api/door/pair"])
    for (const headers of [
      { origin: "null" },
      { origin: "https://evil.example" },
      { "sec-fetch-site": "cross-site" },
    ] as Record<string, string>[])
      expect([
        path,
        (await page.request.post(HERE + path, { headers, data: {}, ignoreHTTPSErrors: true })).status(),
      ]).toEqual([path, 403]);
  await caught.close();
});

test("what was given as a certificate and is none, or as a port, is refused in one sentence", () => {
  const folder = mkdtempSync(join(tmpdir(), "cert-"));
  const words = join(folder, "words.pem");
  writeFileSync(words, "no certificate");
  const begin = (...more: string[]): string => {
    const { status, stderr } = spawnSync(
      process.execPath,
      ["scripts/serve.mjs", "--host", "0.0.0.0", ...more],
      {
        env: { ...process.env, DEMONTAGE_DATA: folder },
        encoding: "utf8",
        timeout: 20_000,
      },
    );
    return `${status} ${stderr.trim()}`;
  };
  expect(begin("--cert", words)).toBe(
    "2 A certificate needs its key: --cert FILE and --key FILE. Only --cert was given.",
  );
  expect(begin("--cert", words, "--key", join(folder, "none"))).toBe(
    `2 The key ${join(folder, "none")} cannot be read.`,
  );
  expect(begin("--cert", words, "--key", words)).toBe(
    `2 ${words} and ${words} are no certificate and its key, as PEM files without a password.`,
  );
  expect(begin("--port", "none")).toBe("2 “none” is no port: a whole number from 1 to 65535.");
  rmSync(folder, { recursive: true });
});
