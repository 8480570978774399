import type { Recipe } from "./recipe";

/** Units that stand in the queue, not opened yet or handed back. */
export const queue: Recipe[] = [
  {
    head: {
      number: "J-0144",
      stage: "take-in",
      complaint: "Pulls paper in and stops, motor goes on.",
      symptoms: ["output-still"],
      limit: 90,
      looseItems: ["bin"],
    },
    unit: {
      kind: "paper shredder",
      maker: "Pellgrove",
      model: "S-12",
      serial: "",
      supply: "mains",
      foodContact: false,
    },
    rows: [],
    unitPicture: "shredder-unit",
    carried: {
      job: {
        protectionClass: "II",
        hazards: ["blade", "stored-charge"],
        condition: "corner of the bin cracked, one foot missing",
        past: { bought: "used", openedBefore: "owner", load: "daily", years: 6 },
      },
    },
  },
  {
    head: {
      number: "J-0145",
      stage: "take-in",
      complaint: "Paddle stands still as soon as it thickens.",
      symptoms: ["slips"],
      looseItems: ["paddle", "lid", "drum"],
    },
    unit: { kind: "ice-cream churn", maker: "Lindqvarn", model: "C-2", supply: "mains", foodContact: true },
    rows: [],
    unitPicture: "churn-unit",
    carried: { job: { protectionClass: "II" } },
  },
  {
    head: {
      number: "J-0143",
      stage: "strip",
      complaint: "Blind comes down by itself.",
      symptoms: ["slips"],
      limit: 110,
    },
    unit: { kind: "blind motor", maker: "Quentar", model: "Tube 45", supply: "mains", foodContact: false },
    rows: [
      {
        do: "unscrew",
        title: "End cap",
        parts: ["end cap | cap | PA"],
        hw: "2x PH1 10 ST2.9",
        pic: "blind-unit",
      },
      {
        do: "slide",
        title: "Gear unit out of the tube",
        parts: ["planetary gear unit | gear | steel"],
        facing: "flats vertical",
      },
    ],
    unitPicture: "blind-unit",
    carried: {
      job: { consent: true, protectionClass: "I", hazards: ["stored-charge", "heat"] },
      answers: [
        { question: "safety:unplugged", answer: "yes", at: "2026-11-24T08:10:00.000Z" },
        { question: "safety:heat", answer: "yes", at: "2026-11-24T08:10:04.000Z" },
        { question: "safety:stored-charge", answer: "yes", at: "2026-11-24T08:10:09.000Z" },
        { question: "safety:code", answer: "yes", at: "2026-11-24T08:10:12.000Z" },
      ],
    },
  },
  {
    head: {
      number: "J-0141",
      stage: "strip",
      complaint: "Belt runs off to the left, grinds when cold.",
      symptoms: ["grinds"],
      limit: 130,
      looseItems: ["dust bag"],
    },
    unit: { kind: "belt sander", maker: "Corvane", model: "BX-76", supply: "mains", foodContact: false },
    rows: [],
    unitPicture: "sander-unit",
    carried: { job: { consent: true, protectionClass: "II", hazards: ["stored-charge", "heat"] } },
  },
  {
    head: {
      number: "J-0131",
      stage: "hand-back",
      complaint: "Blade wobbles.",
      symptoms: ["louder"],
      limit: 80,
    },
    unit: { kind: "bread cutter", maker: "Velbrant", model: "Laib 2", supply: "mains", foodContact: true },
    rows: [
      {
        do: "unscrew",
        title: "Blade guard",
        parts: ["blade guard | cover | aluminium"],
        hw: "2x TX20 12 M4",
        facing: "slot down",
      },
      {
        do: "unscrew",
        title: "Blade nut, left-hand thread",
        parts: ["blade | blade | stainless"],
        hw: "1 nut M8 left-hand",
        note: "Cut-proof gloves.",
      },
      { do: "pull", title: "Hub bearing", parts: ["hub bearing | bearing | steel"] },
    ],
    findings: [
      {
        part: "hub bearing",
        mode: "slack",
        extent: "play of 0.3 mm at the rim of the blade",
        x: { got: { from: "counter", says: "608-2RS", price: 6.4 } },
      },
    ],
    renew: ["hub bearing"],
    unitPicture: "breadcutter-unit",
    carried: {
      job: {
        stripFinished: true,
        consent: true,
        disposeConsent: true,
        protectionClass: "II",
        hazards: ["blade"],
        causes: { chosen: ["bearing"] },
        noGrease: "the new bearing is filled and sealed",
      },
      linesDone: "all",
      handedBackDaysAgo: 4,
    },
  },
];
