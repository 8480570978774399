import { beforeAll, describe, expect, it, vi } from "vitest";
import { unpacked } from "@/exchange/test-parcel";
import type { TableWork } from "@/shop/parts/table-work";
import { pumpAt } from "@/stages/test-unit";
import { partRows } from "@/store/catalogue-index";
import { database } from "@/store/database";
import { loadDrafts } from "@/store/drafts";
import { putRows } from "@/store/put-rows";
import { layDown } from "@/store/strip";
import { grey, job, step, testShop } from "@/store/test-shop";
import { undoLast } from "@/store/undo";
import { catalogue } from "../../../demo/shop/shelf";
import { fromElsewhere } from "./changing";
import * as signIn from "./door/sign-in/route";
import * as drafts from "./jobs/[number]/drafts/route";
import * as file from "./jobs/[number]/file/route";
import * as gear from "./jobs/[number]/gear/[part]/route";
import * as pictures from "./jobs/[number]/pictures/route";
import * as steps from "./jobs/[number]/steps/[step]/route";
import * as version from "./jobs/[number]/version/route";
import * as known from "./known/[what]/route";
import * as about from "./parts/about/route";
import * as importOne from "./parts/import/[id]/route";
import * as importNew from "./parts/import/route";
import * as parts from "./parts/route";
import * as table from "./parts/table/[table]/route";
import * as picture from "./pictures/[sha256]/route";
import * as camera from "./practice-camera/route";
import * as card from "./scale-card/route";
import * as solver from "./solver/route";

// a thread of its own needs the built program; the real one is pressed end to end
vi.mock("@/shop/parts/table-thread", async () => {
  const { importFile, importPreview } = await import("@/shop/parts/catalogue-import");
  return {
    onTable: ({ what, path, name, delimiter }: TableWork, tell: (rows: number) => void) =>
      what === "look"
        ? importPreview(path, { delimiter, tell })
        : importFile(path, name, { delimiter, tell }),
  };
});
vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
beforeAll(async () => putRows(await database(), partRows, catalogue));

const HERE = "http://bench.local";
const asked = (path: string, init: RequestInit = {}): Request =>
  new Request(`${HERE}${path}`, { ...init, headers: { host: "bench.local", ...init.headers } });
const at = <T extends object>(params: T): { params: Promise<T> } => ({ params: Promise.resolve(params) });
/** Status and what was said. */
const told = async (answer: Response): Promise<unknown[]> => [answer.status, await answer.json()];

const send = (
  number: string,
  fields: Record<string, string | Blob>,
  headers: Record<string, string> = {},
): Promise<Response> => {
  const body = new FormData();
  for (const [k, v] of Object.entries(fields)) body.append(k, v);
  return pictures.POST(
    asked(`/api/jobs/${number}/pictures`, { method: "POST", body, headers }),
    at({ number }),
  );
};
const shot = async (): Promise<Blob> => new Blob([new Uint8Array(await grey().jpeg().toBuffer())]);

describe("what another site sends", () => {
  it("is refused: a page elsewhere, one with no address of its own, one that lies about it", () => {
    const from = (origin: string) => fromElsewhere(asked("/api/x", { headers: { origin } }))?.status;
    for (const origin of ["http://elsewhere.local", "null", "bench.local", "http://bench.local.elsewhere"])
      expect([origin, from(origin)]).toEqual([origin, 403]);
    expect(from(HERE)).toBeUndefined();
    expect(fromElsewhere(asked("/api/x"))).toBeNull();
  });
  it("changes nothing", async () => {
    const number = await pumpAt("strip");
    const headers = { origin: "http://elsewhere.local" };
    expect((await send(number, { picture: await shot() }, headers)).status).toBe(403);
    expect(
      (await importNew.POST(asked("/api/parts/import", { method: "POST", body: "number", headers }))).status,
    ).toBe(403);
    for (const send of [importOne.POST, importOne.DELETE])
      expect(
        (await send(asked("/api/parts/import/x", { method: "POST", headers }), at({ id: "x" }))).status,
      ).toBe(403);
    expect((await job(number)).pictures).toEqual([]);
  });
});

describe("a picture that is sent", () => {
  it("is kept where it belongs, once however often it is sent, and shown by its address for ever", async () => {
    const number = await pumpAt("strip");
    const first = await (
      await send(number, { picture: await shot(), role: "step", step: "s2", key: "k1", part: "" })
    ).json();
    expect(first.picture).toMatchObject({ name: "0001.jpg", role: "step", step: "s2" });
    const again = await (
      await send(number, { picture: await shot(), role: "step", step: "s2", key: "k1" })
    ).json();
    expect(again.picture.name).toBe("0001.jpg");
    expect((await job(number)).pictures).toHaveLength(1);
    const { sha256 } = first.picture;
    for (const query of ["", "?thumb=1"]) {
      const shown = await picture.GET(asked(`/api/pictures/${sha256}${query}`), at({ sha256 }));
      expect([shown.status, shown.headers.get("content-type"), shown.headers.get("cache-control")]).toEqual([
        200,
        "image/jpeg",
        expect.stringContaining("immutable"),
      ]);
    }
    expect((await picture.GET(asked("/api/pictures/x"), at({ sha256: "../../etc/passwd" }))).status).toBe(
      404,
    );
  });
  it("for a step that was taken back meanwhile stays with the job", async () => {
    const number = await pumpAt("strip");
    const laid = await layDown(number, "any", step());
    const { steps: now, version: v } = await job(number);
    expect(laid).toBeDefined();
    const last = now.at(-1)?.id ?? "";
    await undoLast(number, v);
    expect((await send(number, { picture: await shot(), role: "step", step: last })).status).toBe(200);
    expect((await job(number)).pictures).toEqual([expect.not.objectContaining({ step: expect.anything() })]);
  });
  it.each<[string, () => Promise<Record<string, string | Blob>>, number, RegExp]>([
    ["that is none", async () => ({ picture: new Blob(["hello"]) }), 422, /no JPEG, PNG or WebP/],
    ["that is empty", async () => ({ picture: new Blob([]) }), 422, /is empty/],
    ["that is missing", async () => ({ role: "step" }), 422, /No picture came/],
    [
      "for a place that there is not",
      async () => ({ picture: await shot(), role: "portrait" }),
      422,
      /none of|expected one of/i,
    ],
    [
      "for a step that is called what none can be",
      async () => ({ picture: await shot(), role: "step", step: "x".repeat(3000) }),
      422,
      /./,
    ],
  ])("%s is refused with a sentence", async (_, fields, status, says) => {
    const number = await pumpAt("strip");
    expect(await told(await send(number, await fields()))).toEqual([
      status,
      expect.objectContaining({ says: expect.stringMatching(says) }),
    ]);
    expect((await job(number)).pictures).toEqual([]);
  });
  it("that is said to be far too large is not even read; one that breaks off, and one for no job, are told so", async () => {
    const number = await pumpAt("strip");
    expect((await send(number, { picture: await shot() }, { "content-length": "40000000" })).status).toBe(
      413,
    );
    const half = asked("/api/x", {
      method: "POST",
      body: "--x\r\nContent-Dis",
      headers: { "content-type": "multipart/form-data; boundary=x" },
    });
    expect(await told(await pictures.POST(half, at({ number })))).toEqual([
      400,
      { says: expect.stringContaining("broken off") },
    ]);
    expect(await told(await send("J-9999", { picture: await shot() }))).toEqual([
      422,
      expect.objectContaining({ says: "there is no job J-9999" }),
    ]);
  });
});

describe("what is typed and not laid down", () => {
  it("is kept until it is empty; what is no draft, or too much of one, is told so and changes nothing", async () => {
    const number = await pumpAt("strip");
    const id = (await (await database())("jobs").where({ number }).first("id")).id;
    const put = async (body: string): Promise<number> =>
      (await drafts.POST(asked(`/api/jobs/${number}/drafts`, { method: "POST", body }), at({ number })))
        .status;
    expect(await put(JSON.stringify({ field: "strip.step", value: { what: "half a" } }))).toBe(204);
    expect(await put("{")).toBe(422);
    expect(await put(JSON.stringify({ field: "", value: 1 }))).toBe(422);
    expect(await put(JSON.stringify({ field: "strip.step", value: "x".repeat(100_001) }))).toBe(413);
    expect(await loadDrafts(id)).toEqual({ "strip.step": { what: "half a" } });
    expect(await put(JSON.stringify({ field: "strip.step", value: null }))).toBe(204);
    expect(await loadDrafts(id)).toEqual({});
  });
});

describe("a job asked for", () => {
  it("tells its version, its steps one by one, and comes as its open file", async () => {
    const number = await pumpAt("judge");
    expect(await told(await version.GET(asked("/"), at({ number })))).toEqual([
      200,
      { version: (await job(number)).version },
    ]);
    expect(await told(await steps.GET(asked("/"), at({ number, step: "s2" })))).toMatchObject([
      200,
      { step: { id: "s2", title: "Lid off" }, parts: [{ name: "pump lid" }] },
    ]);
    const sent = await file.GET(asked("/"), at({ number }));
    expect(sent.headers.get("content-disposition")).toBe(`attachment; filename="${number}.demontage.zip"`);
    expect((await unpacked(new Uint8Array(await sent.arrayBuffer()))).file.unit.kind).toBe("bilge pump");
  });
  it("that is not there is told so everywhere", async () => {
    const number = "J-9999";
    expect((await version.GET(asked("/"), at({ number }))).status).toBe(404);
    expect((await steps.GET(asked("/"), at({ number, step: "s1" }))).status).toBe(404);
    expect(await told(await file.GET(asked("/"), at({ number })))).toEqual([
      404,
      { says: "there is no job J-9999" },
    ]);
    expect((await gear.GET(asked("/?as=svg"), at({ number, part: "p2" }))).status).toBe(404);
    // no name of the language's own is a kind of file either
    for (const as of ["pdf", "constructor", "toString", "__proto__"])
      expect((await gear.GET(asked(`/?as=${as}`), at({ number, part: "p2" }))).status, as).toBe(400);
  });
  it("gives a gear, or a ring, to be made in four forms, once it is measured", async () => {
    const bare = await pumpAt("match");
    expect(await told(await gear.GET(asked("/?as=svg"), at({ number: bare, part: "p2" })))).toEqual([
      422,
      { says: expect.stringMatching(/^Measure first: /) },
    ]);
    const identity = {
      teeth: 24,
      moduleMm: 1,
      diametralPitch: null,
      pressureAngleDeg: 20,
      helixAngleDeg: 0,
      profileShift: 0,
      probability: 0.9,
    };
    const reading = (what: string, value: number) => ({ what, value, source: "typed" });
    const finding = {
      part: "p2",
      mode: "worn",
      readings: [reading("bore", 6), reading("face width", 8)],
      identity,
      x: { gear: { kind: "spur", teeth: 24 } },
    };
    const number = await pumpAt("match", { findings: [finding] });
    const ring = await pumpAt("match", {
      findings: [
        {
          ...finding,
          readings: [reading("outside diameter", 72), reading("face width", 8)],
          identity: { ...identity, teeth: 60 },
          x: { gear: { kind: "internal", teeth: 60 } },
        },
      ],
    });
    expect(
      await told(
        await gear
          .GET(asked("/?as=stl&thinned=0.1"), at({ number: ring, part: "p2" }))
          .then((r) => Response.json({ ok: r.ok })),
      ),
    ).toEqual([200, { ok: true }]);
    for (const [as, type, begins] of [
      ["svg", "image/svg+xml", "<?xml"],
      ["dxf", "image/vnd.dxf", "999"],
      ["stl", "model/stl", ""],
      ["3mf", "model/3mf", "PK"],
    ] as const) {
      const made = await gear.GET(asked(`/?as=${as}`), at({ number, part: "p2" }));
      expect([made.status, made.headers.get("content-type")]).toEqual([200, type]);
      const bytes = Buffer.from(await made.arrayBuffer());
      expect(bytes.length).toBeGreaterThan(1000);
      expect(bytes.toString("latin1").startsWith(begins)).toBe(true);
    }
    expect(await told(await gear.GET(asked("/?as=exe"), at({ number, part: "p2" })))).toEqual([
      400,
      { says: "Ask for svg, dxf, stl or 3mf." },
    ]);
  });
});

describe("the catalogue asked for", () => {
  const found = async (query: string) => (await parts.GET(asked(`/api/parts?${query}`))).json();
  it("answers the first, and how many there are in all", async () => {
    const all = await found("q=&max=1000");
    expect(all.total).toBe(catalogue.length);
    const few = await found("q=&max=3");
    expect(few).toMatchObject({ total: catalogue.length, parts: all.parts.slice(0, 3) });
    for (const wrong of ["max=-1", "max=many", "max=1e9"])
      expect((await found(`q=&${wrong}`)).total).toBe(catalogue.length);
    expect(await found(`q=${"x".repeat(5000)}`)).toMatchObject({ parts: [], total: 0 });
  });
  it("tells everything about a part, or that there is none", async () => {
    const number = catalogue[0]?.number ?? "";
    expect(await told(await about.GET(asked(`/?number=${encodeURIComponent(number)}`)))).toMatchObject([
      200,
      { part: { number } },
    ]);
    expect((await about.GET(asked("/"))).status).toBe(404);
  });
  it("goes out as tables, one for each kind", async () => {
    const heading = async (name: string): Promise<[number, string]> => {
      const sent = await table.GET(asked("/"), at({ table: name }));
      return [sent.status, (await sent.text()).split("\n")[0] ?? ""];
    };
    expect(await heading("parts")).toEqual([200, expect.stringContaining("number")]);
    expect(await heading("offers")).toEqual([200, expect.stringContaining("supplier")]);
    expect((await heading("suppliers"))[0]).toBe(200);
    expect(await heading("greases")).toEqual([200, expect.stringContaining("thickener")]);
    expect((await heading("customers"))[0]).toBe(404);
  });
  it("takes a table in by two steps: looked through, then taken in; a name of no table leads nowhere", async () => {
    const { id } = await (
      await importNew.POST(
        asked("/", { method: "POST", body: "number,name,kind,price\nQX-1,lamp holder,other,3.20\n" }),
      )
    ).json();
    const lines = async (answer: Response): Promise<unknown[]> => (await answer.text()).trim().split("\n").map((l) => JSON.parse(l)); // biome-ignore format: one call
    expect((await lines(await importOne.GET(asked("/"), at({ id })))).at(-1)).toMatchObject({
      done: expect.anything(),
    });
    expect(await found("q=QX-1")).toMatchObject({ total: 0 });
    expect(
      (await lines(await importOne.POST(asked("/?name=parts.csv", { method: "POST" }), at({ id })))).at(-1),
    ).toMatchObject({ done: expect.anything() });
    expect(await found("q=QX-1")).toMatchObject({ total: 1, parts: [{ number: "QX-1" }] });
    expect((await lines(await importOne.GET(asked("/"), at({ id: "../../shop.db" })))).at(-1)).toMatchObject({
      says: "there is no such file",
    });
    expect(
      await told(await importOne.DELETE(asked("/", { method: "DELETE" }), at({ id: "../../shop.db" }))),
    ).toEqual([404, { says: "There is no such file." }]);
    expect(await told(await importNew.POST(asked("/", { method: "POST" })))).toEqual([
      422,
      { says: "The file is empty." },
    ]);
  });
});

describe("the rest", () => {
  it("offers words that the shop has heard", async () => {
    await pumpAt("take-in");
    const words = async (what: string, query = ""): Promise<unknown[]> =>
      told(await known.GET(asked(`/?${query}`), at({ what })));
    expect(await words("kind", "q=BIL")).toEqual([200, ["bilge pump"]]);
    expect(await words("model", "q=deep&maker=tarnholt")).toEqual([200, ["Deepwell 2"]]);
    expect(await words("model", "q=deep&maker=nobody")).toEqual([200, []]);
    expect((await words("password"))[0]).toBe(404);
  });
  it("prints the scale card, hands out the solver, and has a picture under the practice camera", async () => {
    expect(Buffer.from(await (await card.GET()).arrayBuffer()).subarray(0, 5).toString()).toBe("%PDF-"); // biome-ignore format: one call
    expect(await WebAssembly.validate(await (await solver.GET()).arrayBuffer())).toBe(true);
    const seen = await camera.GET(asked("/?subject=gear+case+cover"));
    expect([seen.status, seen.headers.get("content-type")]).toEqual([200, "image/jpeg"]);
  });
});

describe("the forms at the door", () => {
  it("read no more than there can be, and are answered in a sentence", async () => {
    const ask = (body: string): Promise<Response> =>
      signIn.POST(new Request("http://localhost/api/door/sign-in", { method: "POST", body }));
    for (const [body, says] of [["x".repeat(100_000), /more than is asked/], ["{", /no answer/], ["[]", /./], ['{"person":1,"pin":"4071"}', /not paired/]] as const) {
      const answer = await ask(body);
      expect(answer.status).toBe(422);
      expect((await answer.json()).says).toMatch(says);
    } // biome-ignore format: a case a row
  });
});
