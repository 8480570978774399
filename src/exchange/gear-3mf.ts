import { ZipFile } from "yazl";
import { gearSolid, type ToMake } from "@/core/gear/solid";

/*
 * The package of the registry that writes 3MF gives each triangle its own three points, so that no two share
 * an edge; the standard asks for a closed mesh. What it takes is little, and stands here.
 */

const CONTENT_TYPES = `<?xml version="1.0" encoding="UTF-8"?>
<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>`;
const RELATIONS = `<?xml version="1.0" encoding="UTF-8"?>
<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>`;
/** Points that are one to a micrometre are one. */
const DECIMALS = 6;
/** The same gear gives the same bytes. */
const MADE = { mtime: new Date(Date.UTC(2000, 0, 1)), mode: 0o100644 };

/** The mesh of a solid: each point once, triangles by their numbers. */
function model(g: ToMake): string {
  const at = new Map<string, number>();
  const vertices: string[] = [];
  const triangles: string[] = [];
  for (const t of gearSolid(g)) {
    const [a, b, c] = t.map((p) => {
      const [x, y, z] = p.map((v) => String(Number(v.toFixed(DECIMALS)) || 0));
      const key = `${x} ${y} ${z}`;
      const known = at.get(key);
      if (known !== undefined) return known;
      vertices.push(`<vertex x="${x}" y="${y}" z="${z}"/>`);
      at.set(key, vertices.length - 1);
      return vertices.length - 1;
    });
    if (a !== b && b !== c && c !== a) triangles.push(`<triangle v1="${a}" v2="${b}" v3="${c}"/>`);
  }
  return `<?xml version="1.0" encoding="UTF-8"?>
<model unit="millimeter" xml:lang="en" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources><object id="1" type="model"><mesh><vertices>${vertices.join("")}</vertices><triangles>${triangles.join("")}</triangles></mesh></object></resources><build><item objectid="1"/></build></model>`;
}

/**
 * The gear as a solid in a 3MF package (3MF core specification 1.3): a closed mesh that says itself that it
 * is in millimetres.
 */
export async function gear3mf(g: ToMake): Promise<Uint8Array> {
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(CONTENT_TYPES), "[Content_Types].xml", MADE);
  zip.addBuffer(Buffer.from(RELATIONS), "_rels/.rels", MADE);
  zip.addBuffer(Buffer.from(model(g)), "3D/3dmodel.model", MADE);
  zip.end();
  const pieces: Buffer[] = [];
  for await (const piece of zip.outputStream) pieces.push(piece as Buffer);
  return Buffer.concat(pieces);
}
