import { createServer, type Server } from "node:http";
import { type AddressInfo, connect } from "node:net";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import { pinSchema } from "@/core/door/role";
import { jobHistory } from "@/store/change";
import { database } from "@/store/database";
import {
  beginSession,
  deviceOf,
  letDeviceGo,
  newPairing,
  pairDevice,
  pairedDevices,
  sessionOf,
} from "@/store/devices";
import { lastDoorLines } from "@/store/door-log";
import { createJob, setHead } from "@/store/jobs";
import { addPerson, changePerson, checkPin, lockedAfter, peopleOfShop, personLeaves } from "@/store/people";
import { faultOf, testShop } from "@/store/test-shop";
import { inTheNameOf } from "@/store/who";
import { hostName, isKnownHost, isLoopback } from "./address";
import { admit, DEVICE_COOKIE, SESSION_COOKIE } from "./admit";
import { standGuard } from "./guard";
import { passFor, passOf } from "./pass";
import { AT_HOME } from "./presence";

testShop();
const pair = async (name = "Tablet at the bench") =>
  (await pairDevice({ code: (await newPairing()).code, name })).token;
const asking = (path: string, cookie?: string, method = "GET") =>
  admit({ path, method, cookie, fromOutside: true, address: "192.0.2.7" });

describe("by which name the shop is called", () => {
  it.each([
    ["localhost:3000", true],
    ["127.0.0.1:3000", true],
    ["[::1]:3000", true],
    ["LOCALHOST", true],
    ["shop.example", false],
    ["localhost.shop.example", false],
    ["127.0.0.1.shop.example:3000", false],
    ["192.0.2.2", false],
    ["localhost:3000@shop.example", false],
    ["", false],
    [undefined, false],
    ["local host", false],
  ])("%s: %s", (host, known) => {
    expect(isKnownHost(host, { fromOutside: false, more: [] })).toBe(known);
  });
  it("more names are answered to where they were said", () => {
    expect(isKnownHost("bench.shop.lan:3000", { fromOutside: true, more: ["bench.shop.lan"] })).toBe(true);
    expect([hostName("Bench:80"), hostName("a b")]).toEqual(["bench", null]);
    expect(
      [
        "127.0.0.1",
        "127.9.9.9",
        "::1",
        "::ffff:127.0.0.1",
        "192.0.2.1",
        "::ffff:192.0.2.1",
        "10.127.0.0",
        undefined,
      ].map(isLoopback),
    ).toEqual([true, true, true, true, false, false, false, false]);
  });
});

describe("a device of the local net", () => {
  it("comes no further than its pairing, and then no further than the sign-in", async () => {
    for (const path of ["/", "/jobs/J-0001/judge", "/api/state", "/api/pictures/x", "/sign-in", "/people"])
      expect(await asking(path)).toMatchObject({ status: 401, goTo: "/pair" });
    expect(await asking("/pair")).toMatchObject({ presence: { here: false, name: "" } });
    const cookie = `${DEVICE_COOKIE}=${await pair()}`;
    expect(await asking("/sign-in", cookie)).toMatchObject({ presence: { device: "Tablet at the bench" } });
    expect(await asking("/jobs/J-0001/judge", cookie)).toMatchObject({
      status: 401,
      goTo: "/sign-in?then=%2Fjobs%2FJ-0001%2Fjudge",
    });
    expect(await asking("/jobs/J-0001/judge", `${DEVICE_COOKIE}=${"A".repeat(43)}`)).toMatchObject({
      goTo: "/pair",
    });
  });

  it("is paired by a code that is good once, for ten minutes, and not for a guess", async () => {
    const { code } = await newPairing(new Date("2026-11-29T10:00:00Z"));
    expect(await faultOf(pairDevice({ code, name: "Late" }, new Date("2026-11-29T10:11:00Z")))).toMatch(
      /not good, or no longer/,
    );
    await pairDevice(
      { code: ` ${code.slice(0, 4).toLowerCase()}-${code.slice(4)} `, name: "In time" },
      new Date("2026-11-29T10:09:00Z"),
    );
    expect(await faultOf(pairDevice({ code, name: "Again" }, new Date("2026-11-29T10:09:00Z")))).toMatch(
      /not good/,
    );
    const next = await newPairing();
    for (let i = 0; i < 20; i++) await faultOf(pairDevice({ code: "AAAAAAAA", name: "Guess" }));
    expect(await faultOf(pairDevice({ code: next.code, name: "Guess" }))).toMatch(/too many codes/);
    expect(await faultOf(pairDevice({ code: (await newPairing()).code, name: " " }))).toMatch(
      /give it a name/,
    );
    // two of one name could not be told apart when one is let go
    expect(await faultOf(pairDevice({ code: (await newPairing()).code, name: "In time" }))).toMatch(
      /there is a “In time” already/,
    );
  });

  it("that was let go comes in no more, nor does who worked on it", async () => {
    const token = await pair("Lost tablet");
    const device = (await deviceOf(token))?.id ?? 0;
    const session = await beginSession(
      await addPerson({ name: "Ines Harrow", role: "bench", pin: "4071" }),
      device,
    );
    const cookie = `${DEVICE_COOKIE}=${token}; ${SESSION_COOKIE}=${session}`;
    expect(await asking("/", cookie)).toMatchObject({
      presence: { name: "Ines Harrow", role: "bench", device: "Lost tablet" },
    });
    await letDeviceGo(device);
    expect(await asking("/", cookie)).toMatchObject({ goTo: "/pair" });
    expect((await pairedDevices()).map((d) => d.name)).not.toContain("Lost tablet");
    expect((await lastDoorLines())[0]).toMatchObject({
      what: "refused: the device is not paired any more",
      address: "192.0.2.7",
    });
  });

  it("keeps no token and no PIN where they could be read", async () => {
    const token = await pair("Readable");
    const id = await addPerson({ name: "Ola Brandt", role: "desk", pin: "7305" });
    const session = await beginSession(id, (await deviceOf(token))?.id ?? 0);
    const db = await database();
    const all = JSON.stringify([
      await db("devices"),
      await db("sessions"),
      await db("people"),
      await db("pairings"),
    ]);
    for (const secret of [token, session, "7305"]) expect(all).not.toContain(secret);
  });
});

describe("somebody of the shop", () => {
  it("signs in by a PIN; after five wrong ones the door is shut for a minute, then for two", async () => {
    const id = await addPerson({ name: "Wim Castle", role: "desk", pin: "8264" });
    const device = (await deviceOf(await pair("Signing in")))?.id ?? 0;
    const at = (seconds: number): Date => new Date(Date.UTC(2026, 10, 29, 10, 0, seconds));
    const tell = async (pin: string, seconds: number): Promise<string> => {
      const answer = await checkPin(id, device, pin, at(seconds));
      return "person" in answer ? answer.person.name : answer.refused;
    };
    for (let i = 0; i < 5; i++) expect(await tell("1357", i)).toBe("That is not the PIN.");
    expect(await tell("8264", 30)).toMatch(/^Too many wrong PINs\. Try again after/);
    expect(await tell("1357", 70)).toBe("That is not the PIN.");
    expect(await tell("8264", 140)).toMatch(/^Too many/);
    expect(await tell("8264", 200)).toBe("Wim Castle");
    expect(await tell("1357", 201)).toBe("That is not the PIN.");
    expect(lockedAfter(20, at(0))).toBe(new Date(at(0).getTime() + 3_600_000).toISOString());
  }, 30_000);

  it("tries twenty PINs at once and has no more tries than one after the other", async () => {
    const id = await addPerson({ name: "Una Merle", role: "desk", pin: "9152" });
    const device = (await deviceOf(await pair("Guessing")))?.id ?? 0;
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) => checkPin(id, device, i === 19 ? "9152" : String(1000 + i))),
    );
    expect(
      answers.filter((a) => "refused" in a && a.refused === "That is not the PIN.").length,
    ).toBeLessThanOrEqual(5);
    expect(answers.some((a) => "person" in a)).toBe(false);
  }, 30_000);

  it("is signed out after twelve hours of nothing, a day of work, another PIN, and for good on leaving", async () => {
    const id = await addPerson({ name: "Tor Abel", role: "owner", pin: "6048" });
    const device = (await deviceOf(await pair("Idle")))?.id ?? 0;
    const from = new Date("2026-11-29T08:00:00Z");
    const later = (hours: number): Date => new Date(from.getTime() + hours * 3_600_000);
    const token = await beginSession(id, device, from);
    expect((await sessionOf(token, device, later(11)))?.name).toBe("Tor Abel");
    expect((await sessionOf(token, device, later(22)))?.name).toBe("Tor Abel");
    expect(await sessionOf(token, device, later(25))).toBeNull();
    const idle = await beginSession(id, device, from);
    expect(await sessionOf(idle, device, later(12.1))).toBeNull();
    const other = await beginSession(id, device, from);
    await changePerson(id, { pin: "5937" });
    expect(await sessionOf(other, device, later(1))).toBeNull();
    const last = await beginSession(id, device, from);
    await personLeaves(id);
    expect(await sessionOf(last, device, later(1))).toBeNull();
    expect((await peopleOfShop()).map((p) => p.name)).not.toContain("Tor Abel");
    expect(await addPerson({ name: "Tor Abel", role: "desk", pin: "6048" })).toBeGreaterThan(id);
  }, 30_000);

  it.each(["1111", "1234", "9876", "12", "123456789", "12a4", ""])("has no PIN like %s", (pin) => {
    expect(pinSchema.safeParse(pin).success).toBe(false);
  });

  it("stands in the history of what they did, with the device", async () => {
    const number = await createJob();
    await inTheNameOf({ name: "Ola Brandt", device: "Tablet at the desk" }, () =>
      setHead(number, 1, { kind: "fan" }, "kind: fan"),
    );
    await setHead(number, 2, { maker: "Corvane" }, "maker: Corvane");
    expect((await jobHistory(number)).slice(0, 2)).toMatchObject([
      { who: null, device: null },
      { who: "Ola Brandt", device: "Tablet at the desk" },
    ]);
  });
});

describe("a pass", () => {
  it("is ours, and nobody else can write one", () => {
    expect(passOf(passFor(AT_HOME))).toEqual(AT_HOME);
    const forged = `${"0".repeat(48)}.${Buffer.from(JSON.stringify(AT_HOME)).toString("base64url")}`;
    for (const said of [forged, forged.slice(49), "", null, "x.y"]) expect(passOf(said)).toBeNull();
  });
});

describe("the guard", () => {
  let server: Server;
  let port = 0;
  const seen: { pass: string | null | undefined; policy: string | undefined }[] = [];
  beforeAll(async () => {
    standGuard();
    server = createServer((req, res) => {
      seen.push({
        pass: String(req.headers["x-demontage-pass"]),
        policy: req.headers["content-security-policy"] as string,
      });
      res.end("in");
    });
    await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
    port = (server.address() as AddressInfo).port;
  });
  afterAll(() => new Promise((done) => server.close(done)));
  /** A request as its bytes are; answers the answer's. */
  const raw = (head: string): Promise<string> =>
    new Promise((done, failed) => {
      const socket = connect(port, "127.0.0.1", () => socket.end(`${head}\r\nConnection: close\r\n\r\n`));
      let text = "";
      socket.on("data", (d) => (text += d));
      socket.on("end", () => done(text));
      socket.on("error", failed);
    });

  it("lets this computer in, with a pass of its own in place of any that was brought, and a policy for the page", async () => {
    const answer = await raw(
      `GET / HTTP/1.1\r\nHost: localhost:${port}\r\nX-Demontage-Pass: ${"0".repeat(48)}.e30\r\nContent-Security-Policy: none`,
    );
    expect(answer).toMatch(/^HTTP\/1\.1 200/);
    expect(passOf(seen.at(-1)?.pass ?? null)).toEqual(AT_HOME);
    const policy = /content-security-policy: (.*)/i.exec(answer)?.[1]?.trim();
    expect(policy).toBe(seen.at(-1)?.policy);
    expect(policy).toMatch(
      /script-src 'self' 'nonce-[\w+/=]{20,}' 'wasm-unsafe-eval'.*frame-ancestors 'none'/,
    );
    for (const name of [
      "x-content-type-options: nosniff",
      "referrer-policy: no-referrer",
      "x-frame-options: DENY",
      "permissions-policy: camera=(self)",
    ])
      expect(answer.toLowerCase()).toContain(name.toLowerCase());
  });

  it.each<[string, string, number, RegExp]>([
    ["a page under a rebound name", "GET / HTTP/1.1\r\nHost: shop.example", 421, /not called by that name/],
    ["no name", "GET / HTTP/1.0", 421, /not called by that name/],
    ["a way of asking that nobody uses", "PROPFIND / HTTP/1.1\r\nHost: localhost", 405, /not known here/],
    ["TRACE", "TRACE / HTTP/1.1\r\nHost: localhost", 405, /not known here/],
    ["a broken address", "GET /jobs/%E0%A4%A HTTP/1.1\r\nHost: localhost", 400, /no address/],
    ["an address without an end", `GET /${"a".repeat(5000)} HTTP/1.1\r\nHost: localhost`, 400, /no address/],
    [
      "a program that stands between, without encryption",
      "GET / HTTP/1.1\r\nHost: localhost\r\nX-Forwarded-For: 192.0.2.9",
      403,
      /HTTPS only/,
    ],
    [
      "one that stands between, from a device that is not paired",
      "GET /api/state HTTP/1.1\r\nHost: localhost\r\nX-Forwarded-For: 192.0.2.9\r\nX-Forwarded-Proto: https",
      401,
      /not paired/,
    ],
  ])("refuses %s with a sentence", async (_, head, status, says) => {
    const before = seen.length;
    const answer = await raw(head);
    expect(answer).toMatch(new RegExp(`^HTTP/1\\.1 ${status}`));
    expect(answer).toMatch(says);
    expect(seen.length).toBe(before);
  });

  it("sends a person of a device that is not paired to where it is paired", async () => {
    const answer = await raw(
      "GET /jobs HTTP/1.1\r\nHost: localhost\r\nAccept: text/html\r\nX-Forwarded-For: 192.0.2.9\r\nX-Forwarded-Proto: https",
    );
    expect(answer).toMatch(/^HTTP\/1\.1 303[\s\S]*location: \/pair/i);
  });
});

vi.setConfig({ testTimeout: 60_000 });
