import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { HARDWARE_KINDS } from "@/core/hardware/kinds";
import { partKindFrom } from "@/core/hardware/part-kind";
import { partLook } from "@/core/hardware/part-look";
import { GearFace } from "./gear-face";
import { PART_PATHS } from "./glyph-paths";
import { HardwareGlyph } from "./hardware-glyph";
import { Ledger } from "./ledger";
import { MarksOverlay } from "./marks-overlay";
import { PartGlyph } from "./part-glyph";
import { framed, PictureFrame } from "./picture-frame";
import { Readout } from "./readout";
import { StageRule } from "./stage-rule";

const count = (markup: string, what: RegExp): number => markup.match(what)?.length ?? 0;

describe("glyphs", () => {
  it("are true to kind: no two kinds of hardware look alike", () => {
    const drawn = HARDWARE_KINDS.map((kind) => renderToStaticMarkup(<HardwareGlyph kind={kind} />));
    expect(new Set(drawn).size).toBe(HARDWARE_KINDS.length);
  });
  it("show a screw's recess by its drive", () => {
    const drawn = ["TX15", "PH2", "SL6", "hex 4"].map((drive) =>
      renderToStaticMarkup(<HardwareGlyph kind="screw" drive={drive} />),
    );
    expect(new Set(drawn).size).toBe(4);
  });
  it("draw a part of an unknown kind as a thing without a shape of its own, not as a housing and not as nothing", () => {
    expect(renderToStaticMarkup(<PartGlyph kind="hopper" />)).toBe(
      renderToStaticMarkup(<PartGlyph kind="other" />),
    );
    expect(renderToStaticMarkup(<PartGlyph kind="gear" />)).not.toBe(
      renderToStaticMarkup(<PartGlyph kind="housing" />),
    );
    expect(renderToStaticMarkup(<PartGlyph kind="hopper" />)).not.toBe(
      renderToStaticMarkup(<PartGlyph kind="housing" />),
    );
  });
  it("draw a part by its name where it has an outline, else by its kind: what stands last is what it is", () => {
    const looks = [
      "fan pulley",
      "switch board",
      "board cover",
      "drive belt",
      "clutch",
      "return spring",
      "half-moon key",
      "speed lever",
      "wheel of the fan",
      "thing",
    ];
    expect(looks.map((name) => partLook(name, partKindFrom(name)))).toEqual(["pulley", "board", "cover", "belt", "clutch", "spring", "key", "lever", "gear", undefined]); // biome-ignore format: a row
    for (const look of [
      "pulley",
      "board",
      "belt",
      "switch",
      "clutch",
      "spring",
      "housing",
      "bush",
      "key",
      "lever",
    ])
      expect(PART_PATHS[look]).toBeDefined();
    expect(new Set(Object.values(PART_PATHS)).size).toBe(Object.keys(PART_PATHS).length);
  });
});

describe("the gear face", () => {
  const gear = { teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 18, profileShift: 0 };
  const face = renderToStaticMarkup(
    <GearFace
      gear={gear}
      marks={{ 8: "chipped", 9: "missing", 10: "missing" }}
      label="face"
      onMark={() => undefined}
    />,
  );
  it("has every tooth as a target, numbered, with its mark in words", () => {
    expect(count(face, /aria-label="Tooth \d+/g)).toBe(41);
    for (const tooth of ["Tooth 9, chipped", "Tooth 10, missing", "Tooth 11, missing", "Tooth 41"])
      expect(face).toContain(`aria-label="${tooth}"`);
  });
  it("says a mark with a letter too, so that colour never stands alone", () => {
    expect(count(face, />×</g)).toBe(2);
    expect(count(face, />\/</g)).toBe(1);
  });
  it("is entered once by keyboard, and says its size", () => {
    expect(count(face, /tabindex="0"/gi)).toBe(1);
    expect(face).toContain("Ø 45.11 mm over the tips");
    // a ring of 60, shifted by 0.1: 60 − 2 (1 − 0.1) mm
    const ring = { teeth: 60, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0.1 };
    expect(renderToStaticMarkup(<GearFace kind="internal" gear={ring} marks={{}} label="ring" />)).toContain(
      "Ø 58.20 mm across the tips, inside",
    );
  });
});

describe("marks over a picture", () => {
  const marks = [
    { kind: "arrow", from: [0, 0], to: [0.5, 0.5] },
    { kind: "ring", at: [0.25, 0.5], radius: 0.1 },
    { kind: "number", at: [0.1, 0.1], n: 7 },
    { kind: "word", at: [0.5, 0.2], says: "flat faces motor" },
  ] as const;
  const drawn = renderToStaticMarkup(
    <MarksOverlay marks={marks.map((m) => structuredClone(m)) as never} width={800} height={600} />,
  );
  it("lie where they were put, whatever the size of the picture", () => {
    expect(drawn).toContain('viewBox="0 0 1000 750"');
    expect(drawn).toContain('<circle cx="250" cy="375" r="100"');
    expect(drawn).toContain("M0 0L");
    expect(drawn).toContain(">7</text>");
    expect(drawn).toContain(">flat faces motor</text>");
    expect(drawn).toContain('aria-label="4 marks"');
  });
  it("are cut as the picture is cut, or shown whole with it", () => {
    expect(drawn).toContain("xMidYMid slice");
    expect(
      renderToStaticMarkup(
        <MarksOverlay marks={[{ kind: "number", at: [0, 0], n: 1 }]} width={1} height={1} fit="contain" />,
      ),
    ).toContain("xMidYMid meet");
  });
  it("draw nothing where there are none", () => {
    expect(renderToStaticMarkup(<MarksOverlay marks={[]} width={8} height={6} />)).toBe("");
  });
  it("come with the picture into its frame", () => {
    const sha256 = "a".repeat(64);
    const frame = renderToStaticMarkup(
      <PictureFrame
        picture={framed({ sha256, marks: [{ kind: "number", at: [0.5, 0.5], n: 1 }], width: 8, height: 6 })}
        words="before step 7"
      />,
    );
    expect(frame).toContain(`/api/pictures/${sha256}`);
    expect(frame).toContain("one mark");
    expect(renderToStaticMarkup(<PictureFrame picture={undefined} words="x" />)).toContain(
      "no picture was taken",
    );
  });
});

describe("the ledger", () => {
  it("says in a word what is open, and that it closes", () => {
    const rows = [
      { row: "screws", out: 10, back: 4 },
      { row: "parts", out: 2, back: 2 },
    ];
    expect(renderToStaticMarkup(<Ledger rows={rows} />)).toContain("6 still on the Mat");
    expect(renderToStaticMarkup(<Ledger rows={rows.map((r) => ({ ...r, back: r.out }))} />)).toContain(
      "The ledger balances: nothing left over",
    );
    expect(
      renderToStaticMarkup(<Ledger rows={rows.map((r) => ({ ...r, back: r.out }))} uncounted={1} />),
    ).not.toContain("balances");
  });
});

describe("a readout", () => {
  it("shows the figure, its unit, its spread and where it came from", () => {
    const shown = renderToStaticMarkup(
      <Readout label="Tip diameter" value="45.11" unit="mm" from="± 0.03 · caliper" measured />,
    );
    for (const part of ["Tip diameter", "45.11", "mm", "± 0.03 · caliper"]) expect(shown).toContain(part);
  });
});

describe("the stage rule", () => {
  const rule = (stage: "strip" | "judge", openGates: number, handedBack = false, openBefore = {}): string =>
    renderToStaticMarkup(
      <StageRule
        number="J-0142"
        stage={stage}
        showing="strip"
        openGates={openGates}
        openBefore={openBefore}
        handedBack={handedBack}
      />,
    );
  it("says where something was opened again behind the mark", () => {
    const reopened = rule("judge", 0, false, { strip: "Say that the strip is complete." });
    expect(reopened).toContain('aria-label="open again: Say that the strip is complete."');
    expect(count(reopened, /aria-label="done"/g)).toBe(1);
  });
  it("is read like a measure: what lies left of the mark is done", () => {
    expect(count(rule("judge", 1), /aria-label="done"/g)).toBe(2);
    expect(count(rule("judge", 0, true), /aria-label="done"/g)).toBe(7);
  });
  it("counts the open gates, as triangles or as a figure", () => {
    expect(rule("strip", 2)).toContain('aria-label="2 open"');
    expect(rule("strip", 9)).toContain("9");
  });
  it("says which screen is open", () => {
    expect(rule("judge", 0)).toMatch(
      /aria-current="page"[^>]*href="\/jobs\/J-0142\/strip"|href="\/jobs\/J-0142\/strip"[^>]*aria-current="page"/,
    );
  });
});
