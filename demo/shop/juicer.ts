import type { TrainInput } from "../../src/core/train/train";
import type { Recipe, Row } from "./recipe";

/**
 * A masticating juicer whose second-stage nylon wheel has lost five teeth. The whole strip, in the order it
 * comes off.
 */
export const juicerRows: Row[] = [
  {
    do: "lift-off",
    title: "Juice bowl, screw and strainer off",
    parts: ["bowl with screw and strainer | bowl | ABS"],
    pic: "juicer-bowl",
    facing: "spout to the front",
    note: "Customer's loose items; they stay on the shelf.",
  },
  {
    do: "unscrew",
    title: "Base plate screws",
    hw: "4x TX15 16 ST3.5 corners, 2x TX15 20 ST3.5 front rear",
    pic: "juicer-base-screws",
    tighten: { pattern: "cross", torqueNm: 1 },
    note: "The two black ones are 4 mm longer: front and rear only.",
  },
  {
    do: "lift-off",
    title: "Base plate off",
    parts: ["base plate | cover | ABS"],
    pic: "juicer-underside",
    facing: "vents to the motor",
  },
  {
    do: "unplug",
    title: "Motor lead J3 off the board",
    hw: "1 plug J3 2-pole",
    pic: "juicer-plug",
    wires: [
      { colour: "brown", to: "L" },
      { colour: "blue", to: "N" },
    ],
  },
  {
    do: "unscrew",
    title: "Cord clamp",
    parts: ["cord clamp | clamp | PA"],
    hw: "2x PH2 12 M4",
    pic: "juicer-clamp",
    needs: [3],
    tighten: { torqueNm: 0.8 },
  },
  {
    do: "unscrew",
    title: "Gear case from the frame",
    hw: "4x TX20 20 M4 corners",
    pic: "juicer-frame",
    needs: [4, 5],
    tighten: { pattern: "cross", torqueNm: 1.2 },
  },
  {
    do: "lift-off",
    title: "Gear motor out of the body",
    parts: ["gear motor | motor"],
    pic: "juicer-gearmotor",
    facing: "output shaft to the front",
  },
  {
    do: "block",
    title: "Rag into the motor opening",
    pic: "juicer-rag",
    note: "Keeps crumbs out of the windings.",
    facts: { cautions: ["motor-dry"] },
  },
  {
    do: "unscrew",
    title: "Gear case cover screws",
    hw: "6x TX15 16 ST3.5",
    pic: "juicer-cover",
    tighten: { pattern: "cross, from the middle", torqueNm: 0.8 },
  },
  {
    do: "lift-off",
    title: "Gear case cover off its two dowels",
    parts: ["gear case cover | cover | PA"],
    pic: "juicer-cover-off",
    facing: "raised ring up",
    marks: ["paint dot on cover and case, front left"],
  },
  {
    do: "unclip",
    title: "Circlip off the output shaft",
    hw: "1 circlip 12",
    pic: "juicer-circlip",
    facing: "sharp edge outwards",
  },
  {
    do: "lift-off",
    title: "Washers above the output wheel",
    hw: "1 wavy 20 above, 1 steel flat 20 above, 1 bronze flat 20 above",
    pic: "juicer-washers",
    stack: ["h0", "h1", "h2"],
    facts: { tray: "B3" },
  },
  {
    do: "pull",
    title: "Output wheel, third stage",
    parts: ["output wheel | gear | PA"],
    pic: "juicer-wheel47",
    facing: "hub up, keyway to the dot",
    note: "Two thumbs under the rim.",
    facts: { cautions: ["keyway"], held: ["press fit"], freed: { how: "pry", standIn: true } },
  },
  {
    do: "drive-out",
    title: "Cross pin out of the lay shaft",
    hw: "1 pin 3x18",
    pic: "juicer-pin",
    bundle: "b1",
    note: "From the side with the chamfer.",
    facts: { freed: { how: "drive" }, tray: "B4" },
  },
  {
    do: "pull",
    title: "Second-stage wheel",
    parts: ["second-stage wheel | gear | PA"],
    pic: "juicer-wheel41",
    bundle: "b1",
    facing: "cross slot up",
    note: "Five teeth gone in one run; crumbs in the grease.",
    facts: { timing: { pin: "tooth", says: "dot of the wheel at the rib of the case" } },
  },
  {
    do: "lift-off",
    title: "Lay shaft with its pinion",
    parts: ["lay shaft with pinion | gear | steel"],
    pic: "juicer-layshaft",
    bundle: "b1",
  },
  {
    do: "press-out",
    title: "Lay shaft bearing out of its seat",
    parts: ["lay shaft bearing | bearing | steel"],
    pic: "juicer-bearing",
    note: "608, seal towards the case had been pulled.",
  },
  {
    do: "peel",
    title: "Output shaft seal",
    parts: ["output shaft seal | seal | NBR"],
    pic: "juicer-seal",
    needs: [13],
    facing: "lip to the grease",
  },
  {
    do: "pull",
    title: "Motor pinion",
    parts: ["motor pinion | gear | steel"],
    pic: "juicer-pinion",
    needs: [7, 15],
    facing: "long side to the motor",
    note: "Nine teeth, bright on one flank.",
    facts: { freed: { how: "press", tool: "two-arm puller" } },
  },
];

export const juicerUnit = {
  kind: "masticating juicer",
  maker: "Velbrant",
  model: "Pressa 40",
  variant: "four-rib",
  supply: "mains",
  foodContact: true,
} as const;

/** From the motor's plate to the screw: two meshes. */
export const juicerTrain: TrainInput = {
  input: { shaft: "motor", rpm: 1380, stallTorqueNm: 1.6 },
  meshes: [
    {
      id: "m1",
      kind: "helical",
      driver: {
        shaft: "motor",
        teeth: 9,
        moduleMm: 1,
        faceWidthMm: 14,
        material: "steel",
        helixAngleDeg: 18,
        price: 24,
      },
      driven: {
        shaft: "lay shaft",
        teeth: 41,
        moduleMm: 1,
        faceWidthMm: 11,
        material: "PA66",
        helixAngleDeg: 18,
        price: 18.5,
      },
    },
    {
      id: "m2",
      kind: "spur",
      driver: {
        shaft: "lay shaft",
        teeth: 11,
        moduleMm: 1.25,
        faceWidthMm: 18,
        material: "steel",
        price: 31,
      },
      driven: {
        shaft: "output",
        teeth: 47,
        moduleMm: 1.25,
        faceWidthMm: 16,
        material: "PA66-GF30",
        price: 27,
      },
    },
  ],
};

/**
 * The 41-tooth wheel as it measures: module 1, 20°, helix 18°, right hand. As drawn W5 = 13.947, W6 = 16.899,
 * d_a = 45.110; as it was made its spans are 0.05 low and its tips 0.04, and flat jaws show 0.04 less across
 * the odd count.
 */
export const wheelReadings = [
  { what: "tip diameter", value: 45.03, u: 0.03, source: "caliper" },
  { what: "span", teeth: 5, value: 13.9, u: 0.02, source: "caliper" },
  { what: "span", teeth: 6, value: 16.85, u: 0.02, source: "caliper" },
];

export const juicerAtJudge: Recipe = {
  head: {
    number: "J-0142",
    stage: "judge",
    complaint: "Motor hums, screw stands still. Before that it clicked for a week, always at the same place.",
    symptoms: ["output-still", "clicks"],
    limit: 120,
    looseItems: ["bowl", "screw", "strainer", "lid"],
  },
  unit: { ...juicerUnit, serial: "VP40-19-3377" },
  unitPicture: "juicer-unit",
  rows: juicerRows,
  findings: [
    {
      part: "second-stage wheel",
      mode: "missing-teeth",
      extent: "five teeth in one run, two beside them broken half-way",
      teeth: {
        "8": "chipped",
        "9": "missing",
        "10": "missing",
        "11": "missing",
        "12": "missing",
        "13": "missing",
        "14": "chipped",
      },
      readings: wheelReadings.slice(0, 2),
      x: { gear: { teeth: 41, kind: "helical", hand: "right", boreForm: "cross slot", mateTeeth: 9 } },
    },
  ],
  renew: ["second-stage wheel"],
  carried: {
    job: {
      train: juicerTrain,
      stripFinished: true,
      consent: true,
      greaseStates: ["plastic"],
      protectionClass: "II",
      hazards: ["blade"],
      condition: "case clean, one scratch on the left side",
    },
  },
};

/** A second one of the same model, a week further on: judged, both gears named, waiting for its parts. */
export const juicerAtMatch: Recipe = {
  head: {
    number: "J-0138",
    stage: "match",
    complaint: "Turned slower and slower, then only hummed. Smelled of warm oil.",
    symptoms: ["output-still", "grinds"],
    limit: 180,
    looseItems: ["bowl", "screw", "strainer"],
  },
  unit: { ...juicerUnit, serial: "VP40-18-2204" },
  unitPicture: "juicer-unit",
  rows: juicerRows,
  findings: [
    {
      part: "second-stage wheel",
      mode: "missing-teeth",
      extent: "four teeth in one run, the rest thin",
      teeth: {
        "20": "missing",
        "21": "missing",
        "22": "missing",
        "23": "missing",
        "24": "worn",
        "25": "worn",
      },
      readings: [
        ...wheelReadings,
        { what: "bore", value: 8.01, source: "caliper" },
        { what: "face width", value: 11.02, source: "caliper" },
      ],
      identity: {
        teeth: 41,
        moduleMm: 1,
        diametralPitch: null,
        pressureAngleDeg: 20,
        helixAngleDeg: 18,
        profileShift: 0,
        probability: 0.97,
      },
      x: {
        gear: {
          teeth: 41,
          kind: "helical",
          hand: "right",
          boreForm: "cross slot",
          mate: "motor pinion",
          mateTeeth: 9,
        },
      },
    },
    {
      part: "motor pinion",
      mode: "worn",
      extent: "one flank bright, the tips pointed; 0.13 mm gone from the span",
      readings: [
        { what: "tip diameter", value: 12.19, u: 0.03, source: "caliper" },
        { what: "bore", value: 6.01, source: "caliper" },
        { what: "face width", value: 14.0, source: "caliper" },
      ],
      identity: {
        teeth: 9,
        moduleMm: 1,
        diametralPitch: null,
        pressureAngleDeg: 20,
        helixAngleDeg: 18,
        profileShift: 0.4,
        probability: 0.93,
      },
      x: {
        gear: {
          teeth: 9,
          kind: "helical",
          hand: "left",
          boreForm: "D",
          mate: "second-stage wheel",
          mateTeeth: 41,
        },
      },
    },
    { part: "lay shaft bearing", mode: "slack", extent: "rough, rust in the track" },
    { part: "output shaft seal", mode: "hardened", extent: "lip hard", chosen: "SEAL-12-22-7" },
  ],
  renew: ["second-stage wheel", "motor pinion", "lay shaft bearing", "output shaft seal"],
  carried: {
    job: {
      train: juicerTrain,
      stripFinished: true,
      consent: true,
      greaseStates: ["plastic"],
      protectionClass: "II",
      hazards: ["blade"],
      condition: "case yellowed",
      newUnit: 329,
      causes: { chosen: ["jam"] },
    },
  },
};
