import { type Chamber, newChamber } from "../../src/core/job/chamber";
import type { TrainInput } from "../../src/core/train/train";
import type { Recipe, Row } from "./recipe";

const slicerRows: Row[] = [
  { do: "lift-off", title: "Carriage off its rod", parts: ["carriage | carriage | stainless"], pic: "slicer-carriage", note: "Both hands; it slides off to the rear." },
  { do: "lift-off", title: "Blade cover", parts: ["blade cover | cover | aluminium"], pic: "slicer-blade-cover" },
  { do: "unscrew", title: "Blade screws", hw: "3x hex4 10 M5", pic: "slicer-blade-screws", tighten: { pattern: "in turn", torqueNm: 2.5 }, note: "Into blind holes: no washers." },
  { do: "lift-off", title: "Blade", parts: ["blade | blade | stainless"], pic: "slicer-blade", facing: "ground side out", note: "With the blade tool. Into its box at once." },
  { do: "unscrew", title: "Underside plate screws", hw: "4x PH2 16 ST4.2 corners", pic: "slicer-underside", needs: [1], tighten: { pattern: "cross" } },
  { do: "lift-off", title: "Underside plate", parts: ["underside plate | cover | stainless"], pic: "slicer-plate" },
  {
    do: "unplug",
    title: "Motor and switch leads",
    hw: "1 plug X1 2-pole, 1 plug X2 2-pole",
    pic: "slicer-plug",
    wires: [
      { colour: "brown", to: "X1-1" },
      { colour: "blue", to: "X1-2" },
      { colour: "green-yellow", to: "frame" },
    ],
  },
  { do: "unscrew", title: "Gear case cover screws", hw: "4x hex4 25 M5 corners", pic: "slicer-case", needs: [4, 7], tighten: { pattern: "cross", torqueNm: 3 } },
  { do: "lift-off", title: "Gear case cover off its dowels", parts: ["gear case cover | cover | aluminium"], pic: "slicer-case-open", marks: ["punch mark on cover and case"] },
  { do: "peel", title: "O-ring of the cover", parts: ["cover O-ring | o-ring | NBR"], pic: "slicer-oring", facing: "in the groove, not twisted" },
  { do: "unclip", title: "Circlip and washers off the wheel shaft", hw: "1 circlip 15, 1 flat 26 above, 1 wavy 26 above", pic: "slicer-circlip", needs: [9] },
  { do: "pull", title: "Worm wheel", parts: ["worm wheel | gear | PA"], pic: "slicer-wheel", facing: "hub to the blade" },
  { do: "press-out", title: "Blade shaft bearing and seal", parts: ["blade shaft bearing | bearing | steel", "blade shaft seal | seal | NBR"], pic: "slicer-bearing", facing: "lip to the grease" },
  { do: "pull", title: "Worm shaft", parts: ["worm shaft | gear | steel"], pic: "slicer-worm", needs: [12], facing: "flat to the motor" },
];

export const slicer: Recipe = {
  head: { number: "J-0137", stage: "match", complaint: "Blade slows down in the roast and something slips.", symptoms: ["slips", "grinds"], limit: 210, looseItems: ["blade guard ring", "sharpener"] },
  unit: { kind: "deli slicer", maker: "Brisswell", model: "Kora 220", serial: "K220-08814", supply: "mains", foodContact: true },
  unitPicture: "slicer-unit",
  rows: slicerRows,
  findings: [
    {
      part: "worm wheel",
      mode: "worn",
      extent: "tips knife-edged over a third of the round",
      teeth: Object.fromEntries(Array.from({ length: 13 }, (_, i) => [String(i + 31), "knife"])),
      readings: [
        { what: "throat diameter", value: 67.36, u: 0.08, source: "caliper" },
        { what: "centre distance", value: 39.64, u: 0.05, source: "caliper" },
        { what: "face width", value: 13.0, source: "caliper" },
        { what: "bore", value: 15.02, source: "caliper" },
      ],
      identity: { teeth: 52, moduleMm: 1.25, diametralPitch: null, pressureAngleDeg: 20, helixAngleDeg: 5, profileShift: 0, probability: 0.985, wormDiameterMm: 14.29 },
      x: { gear: { teeth: 52, kind: "worm-wheel", hand: "right", boreForm: "round", tipsWorn: true, mate: "worm shaft", mateTeeth: 1 } },
    },
    {
      part: "worm shaft",
      mode: "sound",
      extent: "polished on one flank, no ridge",
      readings: [
        { what: "tip diameter", value: 16.78, u: 0.03, source: "caliper" },
        { what: "axial pitch", teeth: 4, value: 15.71, u: 0.05, source: "caliper" },
      ],
      x: { gear: { teeth: 1, kind: "worm", hand: "right", mate: "worm wheel", mateTeeth: 52 } },
    },
    { part: "blade shaft seal", mode: "hardened", extent: "lip hard, shaft dry behind it" },
  ],
  renew: ["worm wheel", "blade shaft seal"],
  carried: { job: { stripFinished: true, consent: true, greaseStates: ["metal"], protectionClass: "I", hazards: ["blade", "stored-charge"] } },
};

/** A case that one lubricant fills, washed out. */
const oneCase = (name: string, lubricant: string, openedBy: string, lengthMm: number, widthMm: number, depthMm: number): Chamber => ({ ...newChamber("c1", "gear-case", name), openedBy, lubricant, volume: { by: "inside", lengthMm, widthMm, depthMm }, old: { left: "none" } });

const hammerRows: Row[] = [
  { do: "pull", title: "Tool sleeve off, with its spring and ball", parts: ["tool sleeve | sleeve | PA"], hw: "1 spring 30, 1 ball 7, 1 circlip 22", pic: "hammer-chuck", note: "Ball under the sleeve: a rag over it while it comes off." },
  { do: "unscrew", title: "Front housing screws", hw: "4x TX25 45 M5 corners", pic: "hammer-front-screws", needs: [], tighten: { pattern: "cross", torqueNm: 4 } },
  { do: "slide", title: "Front housing off the spindle", parts: ["front housing | housing | aluminium"], pic: "hammer-front", needs: [1, 2] },
  { do: "peel", title: "O-rings of the spindle", hw: "1 o-ring 26, 1 o-ring 20, 1 o-ring 12", once: true, pic: "hammer-orings" },
  { do: "pull", title: "Spindle with its gear", parts: ["spindle with gear | gear | steel"], pic: "hammer-spindle", facing: "gear to the rear", bundle: "b1" },
  { do: "pull", title: "Clutch spring", hw: "1 spring 34", pic: "hammer-spring", bundle: "b1" },
  { do: "pull", title: "Striker and piston", parts: ["striker | striker | steel", "piston | piston | steel"], pic: "hammer-striker", facing: "O-ring end of the striker to the piston" },
  { do: "lift-off", title: "Wobble bearing with its finger", parts: ["wobble bearing | bearing | steel"], pic: "hammer-wobble", facing: "finger up, into the piston pin" },
  { do: "pull", title: "Lay shaft with both gears", parts: ["lay shaft gear | gear | steel"], pic: "hammer-layshaft", facing: "large gear to the motor", marks: ["dot on tooth and gap of the pair"] },
  { do: "unscrew", title: "Brush caps", hw: "2x SL6 8", pic: "hammer-brush-caps", needs: [] },
  { do: "pull", title: "Brushes", parts: ["brush left | brush | carbon", "brush right | brush | carbon"], pic: "hammer-brushes", facing: "curve to the commutator, wear pattern kept left and right" },
  { do: "unscrew", title: "Handle half", parts: ["handle half | housing | PA"], hw: "5x TX20 22 ST4.2", pic: "hammer-handle", needs: [], tighten: { torqueNm: 1.6 } },
  { do: "pull", title: "Armature", parts: ["armature | motor"], pic: "hammer-armature", needs: [9, 11, 12] },
  { do: "press-out", title: "Armature bearings", parts: ["bearing 608 front | bearing | steel", "bearing 607 rear | bearing | steel"], pic: "hammer-bearings" },
];

/** A hammer has two rooms: its gears run in one grease, its striker in another. */
const hammerChambers: Chamber[] = [
  { id: "c1", kind: "gear-case", name: "gear case", openedBy: "s3", volume: { by: "inside", lengthMm: 92, widthMm: 52, depthMm: 40 }, coldestC: -5, hottestC: 90, seals: ["NBR"], materials: ["steel", "aluminium", "PA"], old: { left: "traces", thickener: "Li12", baseOil: "mineral" } },
  { id: "c2", kind: "striker", name: "striker", openedBy: "s5", coldestC: -5, hottestC: 100, seals: ["NBR"], materials: ["steel"], old: { left: "all", thickener: "unknown", baseOil: "unknown" } },
];

export const hammer: Recipe = {
  head: { number: "J-0140", stage: "lube", complaint: "Turns but hardly strikes, gets hot at the front.", symptoms: ["louder", "hot"], limit: 160, looseItems: ["depth stop", "side handle"] },
  unit: { kind: "rotary hammer", maker: "Tarnholt", model: "RH-22", serial: "T22-551-09", supply: "mains", foodContact: false },
  unitPicture: "hammer-unit",
  rows: hammerRows,
  findings: [
    {
      part: "lay shaft gear",
      mode: "missing-teeth",
      extent: "three teeth of the large gear",
      teeth: { "5": "missing", "6": "missing", "7": "chipped" },
      readings: [
        { what: "tip diameter", value: 36.75, u: 0.03, source: "caliper" },
        { what: "span", teeth: 5, value: 11.13, u: 0.02, source: "caliper" },
        { what: "span", teeth: 6, value: 13.5, u: 0.02, source: "caliper" },
      ],
      identity: { teeth: 43, moduleMm: 0.8, diametralPitch: null, pressureAngleDeg: 20, helixAngleDeg: 12, profileShift: 0, probability: 0.99 },
      chosen: "TRN-RH22-043",
      x: { gear: { teeth: 43, kind: "helical", hand: "left" } },
    },
    { part: "bearing 608 front", mode: "slack", extent: "rough when turned under load", chosen: "608-2RS" },
  ],
  services: [
    { id: "v1", part: "tool sleeve", do: "clean", note: "paraffin, then dry" },
    { id: "v2", reachedBy: "s9", do: "clean", chamber: "c1", note: "case washed out: crumbs of steel" },
  ],
  lubePoints: [
    { id: "g1", part: "lay shaft gear", when: "after-fit", where: "teeth of the lay shaft", chamber: "c1", kind: "gear-teeth", load: "shock", materials: ["steel", "steel"], toothVolumeMl: 2.1 },
    { id: "g2", part: "wobble bearing", when: "after-fit", where: "wobble bearing", chamber: "c1", kind: "rolling-bearing", bearing: { bore: 15, outside: 35, width: 11 }, rpm: 4300 },
    { id: "g3", part: "spindle with gear", when: "after-fit", where: "teeth of the spindle gear", chamber: "c1", kind: "gear-teeth", load: "shock", materials: ["steel", "steel"], toothVolumeMl: 2.8 },
    { id: "g4", part: "striker", when: "after-fit", where: "bore around the piston", chamber: "c2", kind: "striker" },
    { id: "g5", reachedBy: "s4", where: "O-rings of the spindle", chamber: "c2", kind: "o-ring" },
  ],
  renew: ["lay shaft gear", "bearing 608 front"],
  carried: { job: { stripFinished: true, consent: true, greaseStates: ["metal"], protectionClass: "II", hazards: ["stored-charge", "heat"], chambers: hammerChambers } },
};

const shearsRows: Row[] = [
  { do: "slide", title: "Battery out", parts: ["battery | battery"], pic: "shears-battery", note: "Off the bench." },
  { do: "unscrew", title: "Blade guard", parts: ["blade guard | guard | PA"], hw: "2x hex4 16 M5", pic: "shears-guard" },
  { do: "unscrew", title: "Housing screws", hw: "8x TX20 20 ST4.2, 1x TX20 30 ST4.2 handle", pic: "shears-screws", tighten: { torqueNm: 1.6 }, note: "The long one only at the handle: it cracks the case anywhere else." },
  { do: "lift-off", title: "Upper housing half", parts: ["upper housing half | housing | ABS"], pic: "shears-open" },
  {
    do: "unplug",
    title: "Motor plug, three poles",
    hw: "1 plug P2 3-pole",
    pic: "shears-plug",
    wires: [
      { colour: "red", to: "U" },
      { colour: "black", to: "V" },
      { colour: "yellow", to: "W" },
    ],
  },
  { do: "lift-off", title: "Motor with its pinion", parts: ["motor with pinion | motor"], pic: "shears-motor", facing: "leads to the handle" },
  { do: "unscrew", title: "Gearbox cover screws", hw: "4x hex4 20 M5 corners", pic: "shears-gearbox", needs: [4], tighten: { pattern: "cross", torqueNm: 3.5 } },
  { do: "lift-off", title: "Gearbox cover", parts: ["gearbox cover | cover | aluminium"], pic: "shears-gearbox-open", needs: [6, 7] },
  { do: "peel", title: "Gasket", parts: ["gearbox gasket | gasket | paper"], pic: "shears-gasket", note: "Torn at one corner." },
  { do: "unclip", title: "Circlip off the crown shaft", hw: "1 circlip 15", pic: "shears-circlip", needs: [8] },
  { do: "lift-off", title: "Conrods with the felt ring", parts: ["conrod upper | conrod | steel", "conrod lower | conrod | steel"], hw: "1 washer felt", pic: "shears-conrods", facing: "upper one with the step down", bundle: "b1", marks: ["U and L scribed"] },
  { do: "pull", title: "Crown wheel with its eccentrics", parts: ["crown wheel | gear | steel"], pic: "shears-crown", bundle: "b1", facing: "eccentrics up, dot to the motor" },
  { do: "slide", title: "Both blades out to the front", parts: ["blade upper | blade | steel", "blade lower | blade | steel"], pic: "shears-blades", needs: [2, 11] },
  { do: "press-out", title: "Crown shaft bearing", parts: ["crown shaft bearing | bearing | steel"], pic: "shears-bearing", needs: [12] },
];

export const shears: Recipe = {
  head: { number: "J-0139", stage: "rebuild", complaint: "Stops in thick twigs, then a bang every turn.", symptoms: ["clicks", "slips"], limit: 140, looseItems: ["battery", "blade sheath"] },
  unit: { kind: "hedge shears", maker: "Haldrick", model: "HS-58", serial: "HS58-22-0091", supply: "battery", foodContact: false },
  unitPicture: "shears-unit",
  rows: shearsRows,
  findings: [
    {
      part: "crown wheel",
      mode: "missing-teeth",
      extent: "two teeth broken half-way",
      teeth: { "21": "chipped", "22": "chipped" },
      readings: [
        { what: "tip diameter", value: 59.97, u: 0.03, source: "caliper" },
        { what: "span", teeth: 7, value: 20.02, u: 0.02, source: "caliper" },
      ],
      identity: { teeth: 58, moduleMm: 1, diametralPitch: null, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0, probability: 0.99 },
      chosen: "HLD-58-CW",
      x: { gear: { teeth: 58, kind: "spur" } },
    },
    { part: "gearbox gasket", mode: "torn", extent: "one corner", chosen: "HLD-58-GK" },
    { part: "crown shaft bearing", mode: "slack", extent: "rough when turned dry", x: { got: { from: "counter", says: "Quay Bearings", number: "6001", price: 5.4 } } },
  ],
  services: [
    { id: "v1", reachedBy: "s9", do: "clean", note: "case washed: steel crumbs everywhere" },
    { id: "v2", part: "gearbox gasket", do: "clean", note: "old gasket scraped off, faces degreased" },
    { id: "v3", part: "crown shaft bearing", do: "replace", note: "6001 pressed by its outer ring" },
  ],
  lubePoints: [
    { id: "g1", part: "crown wheel", when: "after-fit", chamber: "c1", kind: "gear-teeth", lubricant: "Skarn GB-0", lubricantId: "skarn-gb0", lot: "K4-331", grams: 3.1, where: "teeth of the crown wheel" },
    { id: "g2", reachedBy: "s8", chamber: "c1", kind: "gear-teeth", lubricant: "Skarn GB-0", lubricantId: "skarn-gb0", lot: "K4-331", grams: 24.6, where: "gearbox" },
  ],
  renew: ["crown wheel", "gearbox gasket", "crown shaft bearing"],
  carried: {
    job: { stripFinished: true, consent: true, greaseStates: ["metal"], washed: true, chambers: [oneCase("gearbox", "skarn-gb0", "s8", 78, 78, 17)], protectionClass: "III", hazards: ["blade"] },
    weighed: { g1: { grams: 3.1, at: "2026-11-23T14:31:00.000Z" }, g2: { grams: 24.5, at: "2026-11-23T14:33:00.000Z" } },
    linesDone: ["service:v3", "undo:s14", "undo:s13"],
  },
};

const extruderRows: Row[] = [
  { do: "unscrew", title: "Die ring off", parts: ["die with ring | die | brass", "extruder screw | screw | stainless"], pic: "extruder-die", facing: "chamfer out" },
  { do: "unscrew", title: "Rear cover screws", hw: "4x hex3 20 M4 corners, 2x hex3 30 M4 bottom", pic: "extruder-screws", needs: [], tighten: { torqueNm: 1.2 } },
  { do: "lift-off", title: "Rear cover", parts: ["rear cover | cover | ABS"], pic: "extruder-cover" },
  {
    do: "unplug",
    title: "Motor plug",
    hw: "1 plug X3 2-pole",
    wires: [
      { colour: "brown", to: "1" },
      { colour: "blue", to: "2" },
    ],
  },
  { do: "unscrew", title: "Gear case cover screws", parts: ["gear case cover | cover | aluminium"], hw: "6x TX15 16 M4", pic: "extruder-gears", tighten: { pattern: "cross", torqueNm: 1.2 } },
  { do: "pull", title: "Final wheel", parts: ["final wheel | gear | POM"], pic: "extruder-wheel", facing: "hub up", needs: [1, 5] },
  { do: "press-out", title: "Final shaft bearing and O-ring", parts: ["final shaft bearing | bearing | steel"], hw: "1 o-ring 30", once: true, pic: "extruder-bearing" },
];
/** From the motor's plate to the screw. */
export const extruderTrain: TrainInput = {
  input: { shaft: "motor", rpm: 1400 },
  meshes: [
    { id: "m1", kind: "helical", driver: { shaft: "motor", teeth: 9 }, driven: { shaft: "lay shaft", teeth: 31 } },
    { id: "m2", kind: "spur", driver: { shaft: "lay shaft", teeth: 13 }, driven: { shaft: "screw", teeth: 53 } },
  ],
};
export const extruder: Recipe = {
  head: { number: "J-0135", stage: "hand-back", complaint: "Grinds, dough comes out in jerks.", symptoms: ["grinds"], limit: 150, looseItems: ["three dies", "brush"] },
  unit: { kind: "pasta extruder", maker: "Morvane", model: "Trafila 3", serial: "MT3-40117", supply: "mains", foodContact: true },
  unitPicture: "extruder-unit",
  rows: extruderRows,
  findings: [
    {
      part: "final wheel",
      mode: "missing-teeth",
      extent: "three teeth",
      teeth: { "30": "missing", "31": "missing", "32": "missing" },
      readings: [
        { what: "tip diameter", value: 55.02, u: 0.03, source: "caliper" },
        { what: "span", teeth: 6, value: 16.96, u: 0.02, source: "caliper" },
      ],
      identity: { teeth: 53, moduleMm: 1, diametralPitch: null, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0, probability: 0.99 },
      chosen: "MRV-T3-53",
      x: { gear: { teeth: 53, kind: "spur" } },
    },
  ],
  lubePoints: [
    { id: "g1", part: "final wheel", when: "after-fit", chamber: "c1", kind: "gear-teeth", lubricant: "Olmen FG-1", lubricantId: "olmen-fg1", lot: "2608-114", grams: 3.4, where: "teeth of the final wheel" },
    { id: "g2", reachedBy: "s5", chamber: "c1", kind: "gear-teeth", lubricant: "Olmen FG-1", lubricantId: "olmen-fg1", lot: "2608-114", grams: 24, where: "gear case" },
  ],
  renew: ["final wheel"],
  carried: {
    job: { train: extruderTrain, stripFinished: true, consent: true, greaseStates: ["plastic"], washed: true, chambers: [oneCase("gear case", "olmen-fg1", "s5", 110, 90, 25)], protectionClass: "I", hazards: ["blade", "heat"] },
    weighed: { g1: { grams: 3.4, at: "2026-11-23T10:02:00.000Z" }, g2: { grams: 24.3, at: "2026-11-23T10:05:00.000Z" } },
    linesDone: "all",
  },
};
