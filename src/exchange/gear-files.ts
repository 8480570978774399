import dxfWriter from "@jscad/dxf-serializer";
import modeling from "@jscad/modeling";
import stlWriter from "@jscad/stl-serializer";
import svgWriter from "@jscad/svg-serializer";
import { gearSection, gearSolid, type ToMake } from "@/core/gear/solid";

const { geom2, geom3, poly3 } = modeling.geometries;
type Side = [[number, number], [number, number]];

function outline(g: ToMake): ReturnType<typeof geom2.create> {
  const { outer, bore } = gearSection(g);
  const sides = (ring: readonly (readonly [number, number])[]): Side[] =>
    ring.map((p, i): Side => [[...p], [...(ring[(i + 1) % ring.length] as readonly [number, number])]]);
  return geom2.create([...sides(outer), ...sides(bore)]);
}

/** The gear's transverse section as SVG, in true size: its width and height are in mm, one unit is one mm. */
export const gearSvg = (g: ToMake): string =>
  svgWriter.serialize({ unit: "mm", decimals: 10_000 }, outline(g)).join("");

/** The gear's transverse section as DXF: closed polylines in mm, for a laser or a wire. */
export const gearDxf = (g: ToMake): string =>
  dxfWriter.serialize({ geom2To: "polylines" }, outline(g)).join("");

/** The gear as a solid: binary STL in mm, its axis along z, one face on the bed. */
export function gearStl(g: ToMake): Uint8Array {
  const solid = geom3.create(gearSolid(g).map((t) => poly3.create(t.map((p) => [...p]))));
  return Buffer.concat(
    stlWriter.serialize({ binary: true }, solid).map((b) => Buffer.from(b as ArrayBuffer)),
  );
}
