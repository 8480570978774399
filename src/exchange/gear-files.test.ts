import { describe, expect, it } from "vitest";
import { type Entry, fromBuffer, type ZipFile } from "yauzl";
import { gearDimensions } from "@/core/gear/index";
import { type GearToMake, gearSolid } from "@/core/gear/solid";
import { gear3mf } from "./gear-3mf";
import { gearDxf, gearStl, gearSvg } from "./gear-files";

const wheel: GearToMake = {
  teeth: 24,
  moduleMm: 1.25,
  pressureAngleDeg: 20,
  helixAngleDeg: 15,
  profileShift: 0.2,
  hand: "left",
  faceWidthMm: 10,
  boreMm: 8,
  boreForm: "keyway",
};
const tip = gearDimensions(wheel).tipDiameterMm;

describe("a gear to make, as a file", () => {
  it("as SVG is as wide in mm as the gear is over its tips", () => {
    const svg = gearSvg(wheel);
    const [, width, unit] = /<svg width="([\d.]+)(\w+)"/.exec(svg) ?? [];
    expect(unit).toBe("mm");
    expect(Number(width)).toBeGreaterThan(tip * 0.985);
    expect(Number(width)).toBeLessThanOrEqual(tip + 0.001);
    expect(svg).toMatch(new RegExp(`viewBox="0 0 ${width} `));
    // teeth and bore: two closed lines
    expect(svg.match(/M/g)?.length).toBeGreaterThanOrEqual(2);
  });
  it("as DXF is two closed polylines with the tips at their radius", () => {
    const dxf = gearDxf(wheel);
    const lines = dxf.split("LWPOLYLINE\n").slice(1);
    expect(lines).toHaveLength(2);
    const points = [
      ...(lines.sort((a, b) => b.length - a.length)[0] as string).matchAll(
        /\n\s*10\n\s*(-?[\d.e-]+)\n\s*20\n\s*(-?[\d.e-]+)/g,
      ),
    ].map((m) => Math.hypot(Number(m[1]), Number(m[2])));
    expect(points.length).toBeGreaterThan(24 * 20);
    expect(2 * Math.max(...points)).toBeCloseTo(tip, 3);
  });
  it("as STL has every triangle of the solid, in mm, with the faces at 0 and at the face width", () => {
    const stl = Buffer.from(gearStl(wheel));
    const count = stl.readUInt32LE(80);
    expect(count).toBe(gearSolid(wheel).length);
    expect(stl.length).toBe(84 + 50 * count);
    let [low, high, far] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, 0];
    for (let i = 0; i < count; i++)
      for (let k = 0; k < 3; k++) {
        const at = 84 + 50 * i + 12 + 12 * k;
        low = Math.min(low, stl.readFloatLE(at + 8));
        high = Math.max(high, stl.readFloatLE(at + 8));
        far = Math.max(far, Math.hypot(stl.readFloatLE(at), stl.readFloatLE(at + 4)));
      }
    expect(low).toBeCloseTo(0, 3);
    expect(high).toBeCloseTo(10, 3);
    expect(2 * far).toBeCloseTo(tip, 3);
  });
  it("as 3MF is a package whose model says millimetres, and holds a closed mesh of the gear's size", async () => {
    const bytes = Buffer.from(await gear3mf(wheel));
    const opened = await new Promise<ZipFile>((done, fail) =>
      fromBuffer(bytes, { lazyEntries: true }, (e, z) => (e ? fail(e) : done(z))),
    );
    const entries = await new Promise<Map<string, string>>((done, fail) => {
      const out = new Map<string, string>();
      opened.on("entry", (entry: Entry) =>
        opened.openReadStream(entry, (e, stream) => {
          if (e) return fail(e);
          const pieces: Buffer[] = [];
          stream.on("data", (b: Buffer) => pieces.push(b));
          stream.on("end", () => {
            out.set(entry.fileName, Buffer.concat(pieces).toString("utf8"));
            opened.readEntry();
          });
        }),
      );
      opened.on("end", () => done(out));
      opened.readEntry();
    });
    const model = entries.get("3D/3dmodel.model") ?? "";
    expect(model).toMatch(/<model unit="millimeter"/);
    expect(entries.has("[Content_Types].xml")).toBe(true);
    const points = [...model.matchAll(/<vertex x="([-\d.e]+)" y="([-\d.e]+)" z="([-\d.e]+)"/g)].map(
      (m) => [Number(m[1]), Number(m[2]), Number(m[3])] as const,
    );
    expect(2 * Math.max(...points.map(([x, y]) => Math.hypot(x, y)))).toBeCloseTo(tip, 3);
    const edges = new Map<string, number>();
    for (const m of model.matchAll(/<triangle v1="(\d+)" v2="(\d+)" v3="(\d+)"/g))
      for (const [a, b] of [
        [m[1], m[2]],
        [m[2], m[3]],
        [m[3], m[1]],
      ])
        edges.set(`${a}>${b}`, (edges.get(`${a}>${b}`) ?? 0) + 1);
    expect(edges.size).toBeGreaterThan(1000);
    for (const [e, n] of edges) expect(edges.get(e.split(">").reverse().join(">"))).toBe(n);
  });
});
