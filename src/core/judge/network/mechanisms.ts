/**
 * What went on inside, between what began it and what is found: one thing leads to the next.
 *
 * Strengths are guesses to one figure (0.9, 0.7, 0.5, 0.3, 0.1, 0.03) from failure analysis as gear and
 * bearing handbooks describe it and from bench practice; no data was fitted.
 */
export interface Link {
  /** a root or a mechanism */
  readonly from: string;
  readonly strength: number;
  /** in words, how the one brings the other */
  readonly why: string;
}
export interface Mechanism {
  readonly id: string;
  /** the root that is the same thing, where it began by itself */
  readonly tells?: string;
  /** it says more than its root does, and stands in the chain behind it */
  readonly adds?: true;
  /** thought of only where the unit has such a thing: a kind of part, or a fact of its past */
  readonly needs?: string;
  /** in a chain: "…, the grease left, …" */
  readonly did: string;
  readonly leak: number;
  readonly causes: readonly Link[];
}

export const link = (from: string, strength: number, why: string): Link => ({ from, strength, why });

export const MECHANISMS: readonly Mechanism[] = [
  {
    id: "dirt-in",
    tells: "dirt",
    did: "dirt got in",
    leak: 0.001,
    causes: [
      link("dirt", 0.9, "it worked in from outside"),
      link("seal-open", 0.03, "where grease gets out, dust gets in"),
      link("hair", 0.1, "what winds in carries dust with it"),
    ],
  },
  {
    id: "seal-open",
    tells: "seal-between",
    did: "the seal no longer held",
    leak: 0.003,
    causes: [
      link("seal-between", 0.9, "its lip had gone"),
      link("hair", 0.7, "what winds round a shaft lifts the lip"),
      link("age", 0.3, "rubber hardens with the years"),
      link("dirt", 0.3, "grit cuts a lip"),
      link("water", 0.3, "water and what it carries wear a lip"),
      link("wrong-lubricant", 0.3, "rubber that swells or softens does not seal"),
      link("assembly", 0.1, "a lip is turned over when it is pushed on dry"),
      link("overfilled", 0.1, "pressure lifts a lip"),
    ],
  },
  {
    id: "water-in",
    tells: "water",
    did: "water stood in it",
    leak: 0.003,
    causes: [
      link("water", 0.9, "it came in from outside"),
      link("seal-open", 0.03, "a seal that does not hold grease does not hold water"),
    ],
  },
  {
    id: "grease-gone",
    did: "the grease left",
    leak: 0.003,
    causes: [
      link("seal-open", 0.5, "nothing kept it in"),
      link("overfilled", 0.1, "what is too much is pressed out"),
      link("assembly", 0.1, "a joint was not closed"),
    ],
  },
  {
    id: "film-lost",
    adds: true,
    tells: "dry",
    did: "it ran without a film",
    leak: 0.005,
    causes: [
      link("dry", 0.9, "there was too little left of it"),
      link("grease-gone", 0.7, "what left is missing between the teeth"),
      link("water-in", 0.3, "water does not carry"),
      link("wrong-lubricant", 0.5, "what was put in does not carry here"),
      link("overload", 0.1, "too much load breaks the film"),
      link("motor", 0.1, "heat thins the oil, and drives it out of its soap"),
      link("age", 0.1, "old grease lets its oil go"),
    ],
  },
  {
    id: "bearing-slack",
    tells: "bearing",
    did: "a bearing or bush wore",
    leak: 0.003,
    causes: [
      link("bearing", 0.95, "it had done its turns"),
      link("film-lost", 0.3, "a bearing without a film wears"),
      link("water-in", 0.5, "balls and races rust"),
      link("dirt-in", 0.3, "grit laps it"),
      link("hair", 0.3, "what winds in pushes its shield off"),
      link("grease-gone", 0.3, "its grease left with the rest"),
      link("overload", 0.1, "too much pull"),
      link("misaligned", 0.1, "a shaft out of line loads its edge"),
      link("forced", 0.1, "a blow dents the races"),
    ],
  },
  {
    id: "shafts-lean",
    tells: "misaligned",
    did: "the shafts stood out of line",
    leak: 0.003,
    causes: [
      link("misaligned", 0.95, "its seat, depth or shims are not right"),
      link("bearing-slack", 0.3, "a slack bearing lets its shaft lean"),
      link("forced", 0.3, "a blow moves a seat or bends a shaft"),
      link("assembly", 0.3, "it does not sit as it should"),
      link("wrong-part", 0.1, "what does not belong there does not sit square"),
      link("loosened", 0.1, "what is loose moves"),
    ],
  },
  {
    id: "crumbs-in",
    needs: "teeth",
    tells: "crumbs",
    did: "crumbs went round with the grease",
    leak: 0.003,
    causes: [
      link("crumbs", 0.95, "they were left in last time"),
      link("tooth-overloaded", 0.5, "a tooth that breaks leaves crumbs"),
      link("tooth-tired", 0.5, "a tooth that breaks leaves crumbs"),
      link("plastic-brittle", 0.3, "brittle plastic crumbles"),
      link("worn-thin", 0.1, "what wears off goes round"),
    ],
  },
  {
    id: "tooth-overloaded",
    needs: "teeth",
    adds: true,
    tells: "jam",
    did: "teeth broke under one blow",
    leak: 0.002,
    causes: [
      link("jam", 0.95, "the output was held, and the weakest tooth broke"),
      link("crumbs", 0.3, "a crumb between two teeth is a wedge"),
      link("forced", 0.1, "it was helped along"),
      link("overload", 0.1, "more load than a tooth carries"),
      link("worn-thin", 0.03, "thin teeth break sooner"),
    ],
  },
  {
    id: "tooth-tired",
    needs: "teeth",
    adds: true,
    tells: "fatigue",
    did: "teeth tired at the root",
    leak: 0.002,
    causes: [
      link("fatigue", 0.95, "turn after turn under load"),
      link("overload", 0.1, "too much load tires a root sooner"),
      link("shafts-lean", 0.1, "the load stood on one end of the face"),
      link("plastic-brittle", 0.3, "brittle plastic cracks at its roots"),
    ],
  },
  {
    id: "plastic-brittle",
    needs: "plastic",
    adds: true,
    tells: "age",
    did: "its plastic turned brittle",
    leak: 0.001,
    causes: [
      link("age", 0.3, "plastic ages"),
      link("wrong-lubricant", 0.1, "what was put in attacked it"),
      link("too-hot", 0.03, "heat ages it sooner"),
    ],
  },
  {
    id: "hub-slips",
    tells: "hub",
    did: "a wheel turned on its shaft",
    leak: 0.002,
    causes: [
      link("hub", 0.95, "its seat let go"),
      link("plastic-brittle", 0.5, "a hub shrunk on a knurl splits"),
      link("loosened", 0.1, "its screw worked out"),
      link("overload", 0.1, "more torque than its seat holds"),
    ],
  },
  {
    id: "worn-thin",
    adds: true,
    tells: "worn-out",
    did: "it wore thin",
    leak: 0.003,
    causes: [
      link("worn-out", 0.95, "year after year of work"),
      link("film-lost", 0.7, "without a film metal wears metal"),
      link("dirt-in", 0.7, "grit in grease is a lapping paste"),
      link("worn-mate", 0.9, "a worn gear cuts its mate to its own shape"),
      link("overload", 0.5, "too much load wears sooner"),
      link("wrong-part", 0.5, "a pitch that nearly fits wears"),
      link("wrong-lubricant", 0.1, "what was put in does not protect"),
    ],
  },
  {
    id: "swollen",
    tells: "wrong-lubricant",
    did: "rubber or nylon swelled",
    leak: 0.002,
    causes: [
      link("wrong-lubricant", 0.9, "it does not agree with what was put in"),
      link("water-in", 0.1, "nylon takes up water"),
    ],
  },
  {
    id: "too-hot",
    adds: true,
    tells: "motor",
    did: "it grew too hot",
    leak: 0.005,
    causes: [
      link("motor", 0.9, "the motor pulled too hard, or was held"),
      link("overload", 0.7, "more work than it was made for"),
      link("jam", 0.1, "it was held under power"),
      link("film-lost", 0.1, "dry teeth and bearings make heat"),
      link("hair", 0.3, "what is wound round a shaft rubs"),
      link("bearing-slack", 0.1, "a rough bearing drags"),
    ],
  },
  {
    id: "no-current",
    tells: "electrical",
    did: "current no longer got through",
    leak: 0.005,
    causes: [
      link("electrical", 0.95, "a contact, lead or winding gave up"),
      link("loosened", 0.5, "a terminal worked loose"),
      link("assembly", 0.3, "a lead was pinched, or not pushed home"),
      link("too-hot", 0.1, "heat takes windings and contacts"),
      link("water-in", 0.1, "water takes contacts"),
      link("dirt-in", 0.1, "dust between contacts"),
      link("forced", 0.1, "a lead torn, a lever broken"),
      link("worn-out", 0.1, "brushes are made to wear"),
    ],
  },
  {
    id: "pin-gone",
    tells: "pin",
    did: "a pin, key or screw no longer held",
    leak: 0.002,
    causes: [
      link("pin", 0.95, "it sheared, or was not there"),
      link("loosened", 0.7, "it worked its way out"),
      link("assembly", 0.5, "it was left out, or not driven home"),
      link("jam", 0.1, "the output was held"),
      link("overload", 0.1, "more than it was made for"),
      link("forced", 0.1, "it was helped along"),
    ],
  },
  {
    id: "spring-gone",
    needs: "spring",
    tells: "spring",
    did: "a spring no longer pushed",
    leak: 0.001,
    causes: [
      link("spring", 0.95, "it broke, tired or came off"),
      link("assembly", 0.3, "it was left out"),
      link("water-in", 0.1, "rust eats a spring from its notches"),
      link("age", 0.1, "springs set"),
    ],
  },
  {
    id: "drive-lost",
    did: "nothing carried the turn any more",
    leak: 0.005,
    causes: [
      link("tooth-overloaded", 0.7, "there are no teeth where they should mesh"),
      link("tooth-tired", 0.5, "there are no teeth where they should mesh"),
      link("hub-slips", 0.5, "the shaft turns in its hub"),
      link("pin-gone", 0.5, "what held wheel and shaft together is gone"),
      link("spring-gone", 0.5, "nothing pushes it into gear"),
      link("worn-thin", 0.3, "what has worn thin no longer holds"),
      link("plastic-brittle", 0.3, "what broke carries nothing"),
      link("belt-gone", 0.9, "there is no belt that pulls"),
    ],
  },
  {
    id: "belt-gone",
    needs: "belt",
    did: "a belt no longer pulled",
    leak: 0.002,
    causes: [
      link("age", 0.3, "rubber hardens and cracks with the years"),
      link("overload", 0.5, "a belt stretches under too much pull"),
      link("worn-out", 0.3, "belts wear longer"),
      link("jam", 0.1, "the output was held"),
      link("wrong-lubricant", 0.1, "oil softens a belt"),
    ],
  },
  {
    id: "rubs",
    did: "it rubbed",
    leak: 0.005,
    causes: [
      link("hair", 0.5, "what is wound round a shaft brakes it"),
      link("bearing-slack", 0.3, "a rough bearing drags"),
      link("film-lost", 0.3, "what is dry drags"),
      link("swollen", 0.7, "what swells grips"),
      link("water-in", 0.3, "rust grips"),
      link("dirt-in", 0.1, "grit drags"),
      link("shafts-lean", 0.1, "what stands out of line binds"),
      link("jam", 0.3, "something is still in it"),
      link("overfilled", 0.1, "a full case drags"),
      link("assembly", 0.1, "it was drawn down out of place"),
    ],
  },
];
