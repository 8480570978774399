import { usualFor } from "../kind-named";

/** What is usual for units of a kind: where they work, and how. A fact of the network's priors each. */
export const KIND_PAST = {
  "past:outdoors": "such units work outdoors",
  "past:wet": "such units work with water",
  "past:dust": "such units work in dust",
  "past:strands": "such units work with hair, thread or stalks",
  "past:stands": "such units mostly stand",
} as const;
export type KindPast = keyof typeof KIND_PAST;

const of = (facts: readonly KindPast[], ...names: readonly string[]) =>
  Object.fromEntries(names.map((n) => [n, facts]));

/** Kinds as they end: "hedge trimmer" is a trimmer. What a kind is for, not what this unit went through. */
const USUAL: Readonly<Record<string, readonly KindPast[]>> = {
  ...of(
    ["past:outdoors", "past:strands"],
    "hedge trimmer",
    "trimmer",
    "mower",
    "tiller",
    "scarifier",
    "baler",
    "brush cutter",
    "garden shredder",
    "auger",
  ),
  ...of(["past:outdoors"], "gate drive", "gate opener", "awning motor", "leaf blower", "spreader", "winch"),
  ...of(["past:strands"], "clipper", "hair clipper", "plucker", "bobbin winder", "spinning wheel", "loom"),
  ...of(["past:strands", "past:dust"], "sweeper", "road sweeper"),
  ...of(["past:wet"], "pump", "pressure washer", "slush machine", "ice crusher", "juicer", "sprinkler drive"),
  ...of(["past:dust"], "sander", "polisher", "planer", "router", "mill", "grinder", "sharpener", "saw"),
  ...of(["past:stands"], "clock", "music box", "projector", "typewriter", "model railway turntable"),
};

/** What is usual for a kind of unit; nothing where it is not known here. */
export const kindPast = (kind: string | undefined): readonly KindPast[] =>
  kind ? (usualFor(USUAL, kind) ?? []) : [];
