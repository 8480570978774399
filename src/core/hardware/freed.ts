/** How a thing that did not simply lift off was got free, and what to mind when it is. */
export const FREEINGS = [
  "pull",
  "pry",
  "press",
  "drive",
  "tap",
  "heat",
  "jack",
  "slide",
  "twist",
  "cut",
] as const;
export type Freeing = (typeof FREEINGS)[number];

/** What held it besides its screws. */
export const HOLDS = ["dowels", "hook", "snap tabs", "press fit", "glue", "rust", "taper", "vacuum"] as const;
export type Hold = (typeof HOLDS)[number];

export interface FreeingWords {
  /** as said: "pressed out" */
  readonly says: string;
  readonly caution: string;
  /** the tool that is right for it */
  readonly tool: string;
  /** what is taken where that tool is not at hand, with its risk */
  readonly standIn?: { readonly tool: string; readonly risk: string };
}

export const FREEING_WORDS: Readonly<Record<Freeing, FreeingWords>> = {
  pull: {
    says: "pulled",
    caution: "Pull straight: a puller that sits askew bends the shaft.",
    tool: "two-leg puller",
    standIn: { tool: "two screwdrivers, opposite each other", risk: "marks the faces, and tips it" },
  },
  pry: {
    says: "pried",
    caution: "Pry a little all round, never from one side; no fingers in the gap.",
    tool: "plastic wedge",
    standIn: { tool: "screwdriver", risk: "dents the joint" },
  },
  press: {
    says: "pressed",
    caution: "Press on the ring that is tight; the frame upright, glasses on.",
    tool: "arbor press with a sleeve",
    standIn: { tool: "vice with two sockets", risk: "goes askew and scores the seat" },
  },
  drive: {
    says: "driven",
    caution:
      "Support it underneath. Brass or a punch of the right size: hardened steel hit with steel throws splinters. Glasses on.",
    tool: "pin punch",
    standIn: { tool: "nail with its point ground flat", risk: "mushrooms the pin in its hole" },
  },
  tap: {
    says: "tapped loose",
    caution: "Soft-faced mallet, all round; a blow on one side cracks a casting.",
    tool: "soft-faced mallet",
    standIn: { tool: "block of wood and a hammer", risk: "splinters" },
  },
  heat: {
    says: "freed with heat",
    caution:
      "Hot: gloves, no solvent and nothing that burns nearby, let it cool before it is touched. Never heat near a battery.",
    tool: "hot-air gun",
  },
  jack: {
    says: "jacked off with a screw",
    caution: "Turn the jacking screws a little each in turn: one alone cracks the cover.",
    tool: "two jacking screws",
    standIn: { tool: "one of its own screws", risk: "strips the thread it will need again" },
  },
  slide: {
    says: "slid out",
    caution: "Mind the edge it slides over: wires and seals are cut there.",
    tool: "hand",
  },
  twist: {
    says: "twisted off",
    caution: "Bayonets and left-hand threads turn the other way: look before forcing.",
    tool: "hand",
  },
  cut: { says: "cut", caution: "Cut away from the hand. What is cut goes back new.", tool: "side cutters" },
};
