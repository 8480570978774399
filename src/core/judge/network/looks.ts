/** Something that can be looked at and was not: what it settles, how it is done and how long that takes. */
export interface Look {
  readonly look: string;
  /** the sign that it asks for */
  readonly sign: string;
  /** as it is asked at the bench; answered by yes or no */
  readonly asks: string;
  readonly how: string;
  /** minutes at the bench, with the case open */
  readonly minutes: number;
  /** kinds of part of which the unit has to have one */
  readonly kinds: readonly string[];
}
const look = (
  sign: string,
  minutes: number,
  asks: string,
  how: string,
  ...kinds: readonly string[]
): Look => ({ look: sign.replace(":", "-"), sign, asks, how, minutes, kinds });

/** What grease is kept for. */
const GREASED = ["gear", "bearing", "bush", "chain", "seal"] as const;

/** Minutes are guesses to one figure; each look asks for one sign, and is asked where its part is. */
export const LOOKS: readonly Look[] = [
  look(
    "bearing:slack",
    2,
    "Is a bearing slack or rough?",
    "Turn each bearing dry between two fingers, then rock it: it spins free without a grain, or it does not.",
    "bearing",
  ),
  look(
    "bush:worn",
    3,
    "Is a bush worn?",
    "Rock each shaft at its gear; where it tips, measure bush against shaft.",
    "bush",
  ),
  look(
    "shaft:wound",
    2,
    "Is string or hair wound round a shaft?",
    "Look behind the outer washer and under each seal; ask what it picks up.",
    "shaft",
  ),
  look(
    "seal:torn",
    1,
    "Is a seal torn?",
    "Look at each lip with a lamp, all the way round; run a nail over the shaft where it runs.",
    "seal",
  ),
  look(
    "seal:hardened",
    1,
    "Is a seal hard?",
    "Press each lip with a finger: it follows, or it does not.",
    "seal",
  ),
  look(
    "mate:worn",
    4,
    "Has the mate lost tooth?",
    "Span over the mate’s teeth against its nominal; lay a new gear on it: does it rock?",
    "gear",
  ),
  look(
    "teeth:cracked",
    3,
    "Are other roots cracked?",
    "Bend the neighbours over a lamp: cracks show as lines at the root.",
    "gear",
  ),
  look(
    "gear:worn-at-one-end",
    2,
    "Is a gear worn at one end of its face?",
    "Hold the face to the light: the polish runs over its whole width, or over one end.",
    "gear",
  ),
  look(
    "gear:scuffed",
    2,
    "Are flanks scuffed?",
    "Look along the driving flanks: lines from root to tip are metal on metal.",
    "gear",
  ),
  look(
    "gear:pitted",
    2,
    "Are driving flanks pitted?",
    "Look at the driving flanks near the pitch line: small craters.",
    "gear",
  ),
  look(
    "gear:cracked-hub",
    2,
    "Is a hub cracked?",
    "Hold the shaft, turn the gear; look for shine where hub and shaft rubbed.",
    "gear",
  ),
  look(
    "grease:dirt",
    1,
    "Is there sand or dust in the grease?",
    "Rub the grease between two fingers: does it scratch?",
    ...GREASED,
  ),
  look(
    "grease:wet",
    1,
    "Is the grease milky, or is there rust?",
    "Look for the tide mark, and under the covers.",
    ...GREASED,
  ),
  look(
    "grease:gone",
    3,
    "Is grease where none belongs?",
    "Look at brushes, belt, switch and working end for grease.",
    ...GREASED,
  ),
  look(
    "grease:dry",
    1,
    "Is the grease a dry cake?",
    "Dig into what lies beside the teeth, not on them.",
    ...GREASED,
  ),
  look(
    "grease:too-much",
    4,
    "Is there more grease in it than belongs there?",
    "Weigh what comes out against what belongs in.",
    ...GREASED,
  ),
  look(
    "grease:dark",
    1,
    "Is the grease dark, and does it smell burnt?",
    "Smell it; look at it on white paper.",
    ...GREASED,
  ),
  look(
    "housing:seat-worn",
    3,
    "Is a seat in the case worn?",
    "Push each bearing into its seat by hand: it should not fall in, nor rock.",
    "housing",
  ),
  look(
    "shaft:bent",
    3,
    "Is a shaft bent?",
    "Roll it on a flat plate, or turn it between two fingers against a straight edge.",
    "shaft",
  ),
  look(
    "wire:loose",
    3,
    "Is a terminal loose?",
    "Without current, plug or battery out: pull lightly at each terminal. Fixed wiring is for a licensed electrician.",
    "wire",
  ),
  look(
    "switch:contacts",
    5,
    "Are the switch’s contacts burnt?",
    "Without current, plug or battery out: ohms over the switch, on and off, moved about.",
    "switch",
  ),
  look(
    "brush:short",
    4,
    "Are the brushes short?",
    "Without current, plug or battery out: take out each brush and measure it against a new one.",
    "brush",
  ),
  look(
    "motor:stuck",
    2,
    "Is the motor hard to turn?",
    "Without current, plug or battery out: turn its shaft by hand; rubs, smells?",
    "motor",
  ),
  look(
    "cover:cracked",
    1,
    "Is a cover cracked at a corner?",
    "Look at the outside for marks at one corner; ask whether it fell.",
    "cover",
  ),
];
