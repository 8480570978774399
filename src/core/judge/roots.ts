/**
 * What begins a failure, as data: how often before anything is found, how it is said at the bench and to the
 * customer, and how far the work must go if it was so. What each brings about is in the network.
 *
 * Priors are guesses to one figure of how often such a thing is in a unit that comes in.
 */
export interface Root {
  readonly cause: string;
  readonly says: string;
  /** as the customer is told of it, once it is repaired */
  readonly told: string;
  /** at the head of a chain: "string or hair wound in" */
  readonly began: string;
  /** 0 to 1, before anything is known of the unit */
  readonly prior: number;
  /** how far the work must go if it was so */
  readonly goTo: readonly string[];
  /** and besides, where the unit has teeth */
  readonly goToTeeth?: readonly string[];
}

/** Said by several causes, and by crumbs alone. */
export const WASH = "wash the whole case: crumbs are everywhere and eat the new gear";
const SAME_AGE = "look for a second part of the same make and age: it is as far gone";
const PAIR = "measure the mate before only one gear is renewed";

export const ROOTS: readonly Root[] = [
  {
    cause: "jam",
    says: "Something jammed, and the weakest part gave way",
    told: "Something jammed in it, and its weakest part gave way",
    began: "something jammed",
    prior: 0.07,
    goTo: ["find what jammed before anything new goes in"],
    goToTeeth: [WASH, "look at the roots of the other gears in the train: the same blow went through them"],
  },
  {
    cause: "fatigue",
    says: "Teeth tired at the root, one after the other",
    told: "Its teeth had tired, and broke one after the other",
    began: "turn after turn under load",
    prior: 0.05,
    goTo: [],
    goToTeeth: [PAIR, WASH],
  },
  {
    cause: "dry",
    says: "It ran dry",
    told: "It had run dry",
    began: "there was too little grease left",
    prior: 0.07,
    goTo: ["find where the grease went before new goes in", "fill by weight, and see it again early"],
    goToTeeth: [PAIR],
  },
  {
    cause: "worn-mate",
    says: "A worn mate ate it",
    told: "The gear it runs against was worn, and wore it out",
    began: "a worn gear was left in",
    prior: 0.03,
    goTo: [],
    goToTeeth: ["renew both gears of the pair"],
  },
  {
    cause: "water",
    says: "Water got in",
    told: "Water had got in",
    began: "water came in",
    prior: 0.04,
    goTo: [
      "find where water came in and close that first",
      "wash and dry all of it, bearings too",
      "renew seals on that side",
    ],
  },
  {
    cause: "seal-between",
    says: "The seal between the chambers leaks",
    told: "A seal inside it leaked",
    began: "its seal gave up",
    prior: 0.03,
    goTo: [
      "renew the seal, and the shaft or a sleeve where the lip has cut it",
      "clean the grease out of the other chamber: the motor stays dry",
    ],
  },
  {
    cause: "hair",
    says: "String or hair wound itself round the shaft",
    told: "String or hair had wound itself round a shaft",
    began: "string or hair wound in",
    prior: 0.03,
    goTo: ["take all of it out, also behind the bearing", "renew the seal and its washer"],
  },
  {
    cause: "bearing",
    says: "A bearing or bush wore out",
    told: "A bearing or bush was worn",
    began: "a bearing or bush had done its turns",
    prior: 0.1,
    goTo: ["renew what is worn, and look at what it let lean"],
    goToTeeth: ["measure the centre distance with the new ones in"],
  },
  {
    cause: "motor",
    says: "The motor pulls too hard, or was held",
    told: "Its motor was overloaded, or was held while it ran",
    began: "the motor pulled too hard, or was held",
    prior: 0.03,
    goTo: [
      "measure the current before it goes out",
      "look at the motor before anything new is asked to carry it",
    ],
  },
  {
    cause: "wrong-part",
    says: "A part in it does not belong there, or sits wrong",
    told: "A part in it did not belong there, or sat wrong",
    began: "a part does not belong there",
    prior: 0.02,
    goTo: ["put in what belongs there, with its companions"],
    goToTeeth: [PAIR],
  },
  {
    cause: "hub",
    says: "The hub let go of its shaft",
    told: "A wheel had come loose on its shaft",
    began: "a hub let go of its shaft",
    prior: 0.04,
    goTo: ["renew the wheel and its pin or key; bond only where the load is light and no part is available"],
  },
  {
    cause: "crumbs",
    says: "Crumbs of the last failure were left in",
    told: "Pieces of an earlier breakage were still in it",
    began: "crumbs of an earlier breakage were left in",
    prior: 0.01,
    goTo: [WASH, "wash or renew the bearings: what is in them cannot be seen"],
  },
  {
    cause: "electrical",
    says: "Supply, switch, lead or motor",
    told: "The fault was electrical",
    began: "a contact, lead or winding gave up",
    prior: 0.1,
    goTo: ["find the electrical fault first; the rest may be sound"],
  },
  {
    cause: "overload",
    says: "It was worked harder than it was made for",
    told: "It was worked harder than it was made for",
    began: "more work than it was made for",
    prior: 0.04,
    goTo: [
      "tell the customer what it is made for: the new part goes the same way otherwise",
      "look at what else carried the same load",
    ],
  },
  {
    cause: "pin",
    says: "A pin or key sheared or went missing",
    told: "A pin or key had sheared, or was missing",
    began: "a pin or key gave way",
    prior: 0.04,
    goTo: [
      "find every piece: what is missing lies where it does harm",
      "fit one of the same size and hardness: a harder one breaks the next thing",
      "see why it sheared: turn the output by hand, does anything stick?",
    ],
  },
  {
    cause: "assembly",
    says: "It was put together wrongly last time",
    told: "It had been put together wrongly before",
    began: "it was put together wrongly",
    prior: 0.03,
    goTo: [
      "check every part for its place and facing: one mistake seldom comes alone",
      "ask who had it open, and what was done",
    ],
  },
  {
    cause: "age",
    says: "Age alone",
    told: "Its material had aged",
    began: "the years",
    prior: 0.05,
    goTo: [SAME_AGE, "where it is greased, clean the old grease out and renew it"],
  },
  {
    cause: "forced",
    says: "Somebody forced it, or it fell",
    told: "It was forced, or fell",
    began: "it was forced, or fell",
    prior: 0.05,
    goTo: [
      "look along every shaft and at every seat: a blow goes through",
      "measure run-out before anything new goes in",
    ],
  },
  {
    cause: "dirt",
    says: "Sand, dust or crumbs of the work got in",
    told: "Sand, dust or crumbs had got in",
    began: "dirt came in",
    prior: 0.05,
    goTo: [
      "wash the whole case: grit goes round and laps what is new",
      "close the way in, or tell the customer how to keep it clean",
    ],
  },
  {
    cause: "spring",
    says: "A spring broke, tired or came off",
    told: "A spring had broken, weakened or come off",
    began: "a spring gave way",
    prior: 0.04,
    goTo: ["find the other half: it lies where it does harm", "free and oil what it pushes", SAME_AGE],
  },
  {
    cause: "worn-out",
    says: "Worn out: it has done its work",
    told: "It was worn by long use",
    began: "long work",
    prior: 0.1,
    goTo: ["look at what runs against it", SAME_AGE],
  },
  {
    cause: "misaligned",
    says: "Mesh or shaft out of line",
    told: "A shaft or wheel in it did not stand in line",
    began: "mesh or shaft stood out of line",
    prior: 0.02,
    goTo: [
      "find what is out of line before anything new goes in: seat, depth, shims, case",
      "see the contact on the flanks with marking paste after it is set",
    ],
  },
  {
    cause: "overfilled",
    says: "There was too much grease in it",
    told: "There was too much grease in it",
    began: "too much grease was put in",
    prior: 0.005,
    goTo: ["fill by weight", "look where it went: brushes, belt, switch"],
  },
  {
    cause: "wrong-lubricant",
    says: "A lubricant that does not belong in it",
    told: "A lubricant had been put in that does not agree with it",
    began: "a lubricant was put in that does not agree with it",
    prior: 0.005,
    goTo: ["wash all of it out: two that do not agree are worse than none", "renew what swelled"],
  },
  {
    cause: "loosened",
    says: "A fastener or terminal worked loose",
    told: "Something in it had worked loose",
    began: "something worked loose",
    prior: 0.03,
    goTo: [
      "find every piece: what is missing lies where it does harm",
      "secure it, and look at its neighbours",
    ],
  },
];
