/**
 * Why gearboxes fail, as data: what speaks for and against each cause, what to look at to confirm it, and how far the work must go if it is so.
 *
 * Weights are in halves of a "clear sign": 2 is a clear sign, 1 speaks for it, −1 against, −2 clearly against. They were set from failure analysis as gear standards and bench practice describe it
 * (overload breaks neighbours at once, fatigue one root after another, wear is even all round, water shows in the grease), not fitted to any data.
 */
export interface CauseRule {
  readonly cause: string;
  readonly says: string;
  /** before anything was found, in the same unit: rare causes start lower */
  readonly usual: number;
  readonly signs: readonly { readonly fact: string; readonly weight: number; readonly why: string }[];
  readonly confirm: readonly string[];
  readonly goTo: readonly string[];
}

const WASH = "wash the whole case: crumbs are everywhere and eat the new gear";
const PAIR = "measure the mate before only one gear is renewed";

export const CAUSE_RULES: readonly CauseRule[] = [
  {
    cause: "jam",
    says: "Something jammed, and the weakest tooth gave way",
    usual: -1,
    signs: [
      { fact: "teeth:run", weight: 2, why: "teeth next to each other go in one blow; wear takes them all round" },
      { fact: "teeth:part-way", weight: 1, why: "neighbours broken half-way are the edge of one blow" },
      { fact: "gear:chipped", weight: 1, why: "chips come from blows" },
      { fact: "gear:missing-teeth", weight: 1, why: "whole teeth go by force" },
      { fact: "symptom:output-still", weight: 1, why: "it stopped turning at once" },
      { fact: "gear:plastic", weight: 1, why: "the plastic gear is the fuse: it is meant to go first" },
      { fact: "past:hard", weight: 1, why: "hard work meets hard lumps" },
      { fact: "teeth:all-worn", weight: -2, why: "even wear takes months, not one blow" },
      { fact: "symptom:louder", weight: -1, why: "it grew louder over time" },
    ],
    confirm: [
      "turn the output by hand without the gears: does anything stick or rub?",
      "look in the working end for what it caught",
      "ask what was in it when it stopped",
    ],
    goTo: ["find what jammed before the new gear goes in", WASH, "look at the roots of the other gears in the train: the same blow went through them"],
  },
  {
    cause: "fatigue",
    says: "Teeth tired at the root, one after the other",
    usual: -1,
    signs: [
      { fact: "teeth:cracked", weight: 2, why: "a crack at the root is a tooth that is about to go" },
      { fact: "teeth:scattered", weight: 1, why: "teeth in several places were not one blow" },
      { fact: "symptom:clicks", weight: 1, why: "it clicked before it stopped: the first tooth was gone by then" },
      { fact: "past:old", weight: 1, why: "years of load" },
      { fact: "past:hard", weight: 1, why: "hard work tires roots" },
      { fact: "gear:plastic", weight: 1, why: "plastic creeps and tires sooner when warm" },
      { fact: "teeth:one", weight: 1, why: "one tooth alone" },
    ],
    confirm: [
      "look at the break: dull and stepped where it grew, bright or white where it went at last",
      "bend the neighbours over a lamp: cracks show as lines",
    ],
    goTo: [PAIR, WASH],
  },
  {
    cause: "dry",
    says: "It ran dry",
    usual: -1,
    signs: [
      { fact: "grease:dry", weight: 2, why: "caked grease does not run back to the teeth" },
      { fact: "grease:gone", weight: 2, why: "the grease went elsewhere" },
      { fact: "teeth:all-worn", weight: 2, why: "thin all round: metal on metal, turn after turn" },
      { fact: "gear:knife-edged", weight: 1, why: "knife edges are wear to the end" },
      { fact: "teeth:part-worn", weight: 1, why: "wear, not breakage" },
      { fact: "symptom:louder", weight: 1, why: "it grew louder as the film went" },
      { fact: "symptom:leaks", weight: 1, why: "what leaked out is missing inside" },
      { fact: "symptom:whines", weight: 1, why: "dry teeth whine" },
      { fact: "grease:good", weight: -2, why: "there is good grease in it" },
      { fact: "teeth:run", weight: -1, why: "a run of broken teeth is a blow, not wear" },
    ],
    confirm: ["weigh what grease came out against what belongs in", "look for the way out: seal, cover, shaft"],
    goTo: ["find where the grease went before new goes in", PAIR, "fill by weight, and see it again early"],
  },
  {
    cause: "worn-mate",
    says: "A worn mate ate it",
    usual: -2,
    signs: [
      { fact: "mate:worn", weight: 3, why: "the mate is out of limit by measure" },
      { fact: "past:opened", weight: 1, why: "one gear may have been renewed without the other" },
      { fact: "gear:knife-edged", weight: 1, why: "a worn gear cuts its new mate to its own shape" },
      { fact: "flank:driving", weight: 1, why: "the driving flank alone is worn" },
      { fact: "symptom:louder", weight: 1, why: "two shapes that do not fit are loud" },
      { fact: "mate:sound", weight: -3, why: "the mate measures sound" },
    ],
    confirm: ["span over the mate's teeth against its nominal", "lay a new gear on it: does it rock?"],
    goTo: ["renew both gears of the pair"],
  },
  {
    cause: "water",
    says: "Water got in",
    usual: -2,
    signs: [
      { fact: "grease:wet", weight: 3, why: "milky grease or rust is water" },
      { fact: "teeth:corroded", weight: 2, why: "rust on the teeth" },
      { fact: "gear:corroded", weight: 2, why: "rust on the gear" },
      { fact: "bearing:corroded", weight: 1, why: "rust in a bearing" },
      { fact: "shaft:rusted", weight: 1, why: "rust on the shaft" },
      { fact: "seal:hardened", weight: 1, why: "a hard lip lets water by" },
      { fact: "seal:torn", weight: 1, why: "a torn seal lets water by" },
      { fact: "gasket:torn", weight: 1, why: "a torn gasket lets water by" },
      { fact: "bush:swollen", weight: 1, why: "nylon swells in water" },
    ],
    confirm: ["look for the tide mark", "look at lip and shaft under each seal", "ask where it stands and how it is washed"],
    goTo: ["find where water came in and close that first", "wash and dry all of it, bearings too", "renew seals on that side"],
  },
  {
    cause: "seal-between",
    says: "The seal between the chambers leaks",
    usual: -2,
    signs: [
      { fact: "grease:gone", weight: 3, why: "the grease is next door" },
      { fact: "seal:torn", weight: 2, why: "the seal is torn" },
      { fact: "seal:hardened", weight: 2, why: "the lip is hard" },
      { fact: "shaft:scored", weight: 1, why: "a scored shaft eats any lip" },
      { fact: "symptom:leaks", weight: 1, why: "it shows outside" },
    ],
    confirm: ["look for grease where none belongs: brushes, belt, bowl", "run a nail over the shaft where the lip runs"],
    goTo: ["renew the seal, and the shaft or a sleeve where the lip has cut it", "clean the grease out of the other chamber: the motor stays dry"],
  },
  {
    cause: "hair",
    says: "String or hair round the shaft pushed the seal out",
    usual: -3,
    signs: [
      { fact: "seal:torn", weight: 2, why: "a lip pushed over is torn" },
      { fact: "symptom:leaks", weight: 1, why: "grease comes along the shaft" },
      { fact: "symptom:hot", weight: 1, why: "what is wound round the shaft rubs" },
      { fact: "shaft:scored", weight: 1, why: "it cuts a groove" },
    ],
    confirm: ["look behind the outer washer and under the seal", "ask what it picks up"],
    goTo: ["take all of it out, also behind the bearing", "renew the seal and its washer"],
  },
  {
    cause: "bearing",
    says: "A bearing or bush let the gears run apart",
    usual: -2,
    signs: [
      { fact: "bearing:slack", weight: 3, why: "a slack bearing lets its gear lean" },
      { fact: "bearing:spins", weight: 2, why: "a bearing that spins has worn its seat" },
      { fact: "bush:ovalised", weight: 3, why: "an oval bush moves the mesh" },
      { fact: "bush:worn", weight: 3, why: "a worn bush moves the mesh" },
      { fact: "shaft:bent", weight: 2, why: "a bent shaft moves the mesh once a turn" },
      { fact: "teeth:part-worn", weight: 1, why: "wear over a part of the round is a gear that wobbles" },
      { fact: "grease:metal", weight: 1, why: "metal in the grease may be the bearing's" },
      { fact: "symptom:grinds", weight: 1, why: "it grinds" },
      { fact: "symptom:clicks", weight: 1, why: "a bad ball or a wobble clicks once a turn" },
    ],
    confirm: ["rock each shaft: play at the gear?", "turn each bearing dry between two fingers", "measure bush against shaft"],
    goTo: ["renew bearings or bushes with the gear", "measure the centre distance with the new ones in"],
  },
  {
    cause: "motor",
    says: "The motor pulls too hard, or was held",
    usual: -2,
    signs: [
      { fact: "gear:melted", weight: 2, why: "plastic melts where power is lost" },
      { fact: "teeth:melted", weight: 2, why: "teeth melt where they slip under power" },
      { fact: "symptom:hot", weight: 2, why: "it smelled hot" },
      { fact: "grease:dark", weight: 2, why: "burnt grease is heat" },
      { fact: "past:hard", weight: 1, why: "worked hard" },
      { fact: "symptom:slips", weight: 1, why: "slipping under load makes heat" },
      { fact: "past:light", weight: -1, why: "worked lightly" },
    ],
    confirm: ["motor current, free and under its usual load, against the plate", "turn the motor by hand: rubs, smells, brushes?"],
    goTo: ["measure the current before it goes out", "look at the motor before the new gear is asked to carry it"],
  },
  {
    cause: "wrong-part",
    says: "A part in it does not belong there, or sits wrong",
    usual: -3,
    signs: [
      { fact: "past:opened", weight: 2, why: "it was open before" },
      { fact: "past:used", weight: 1, why: "nobody knows what was done to it" },
      { fact: "gear:knife-edged", weight: 1, why: "a pitch that nearly fits wears to a knife edge" },
      { fact: "flank:both", weight: 1, why: "both flanks worn: too tight, or the wrong pitch" },
      { fact: "teeth:part-worn", weight: 1, why: "a gear that leans wears on one side" },
      { fact: "symptom:louder", weight: 1, why: "louder since it was open?" },
    ],
    confirm: [
      "name both gears: same module, same angle, opposite hands?",
      "washers and facing against a sound unit of the model",
      "was it loud from the day it was opened?",
    ],
    goTo: ["put in what belongs there, with its companions", PAIR],
  },
  {
    cause: "hub",
    says: "The hub let go of its shaft",
    usual: -2,
    signs: [
      { fact: "gear:cracked-hub", weight: 3, why: "a cracked hub slips" },
      { fact: "symptom:output-still", weight: 1, why: "the motor runs and the output stands" },
      { fact: "symptom:slips", weight: 1, why: "it slipped under load" },
    ],
    confirm: ["hold the shaft, turn the gear", "look for shine where hub and shaft rubbed"],
    goTo: ["renew gear and pin or key; bond only where the load is light and no part is available"],
  },
  {
    cause: "crumbs",
    says: "Crumbs of the last failure were left in",
    usual: -3,
    signs: [
      { fact: "grease:plastic", weight: 1, why: "crumbs in the grease" },
      { fact: "grease:metal", weight: 1, why: "glitter in the grease" },
      { fact: "past:opened", weight: 2, why: "it was mended before" },
      { fact: "gear:chipped", weight: 1, why: "crumbs chip" },
      { fact: "teeth:scattered", weight: 1, why: "damage in several places" },
    ],
    confirm: ["are there crumbs of another colour than the gear that broke?", "look in the corners and under the bearings"],
    goTo: [WASH, "wash or renew the bearings: what is in them cannot be seen"],
  },
  {
    cause: "electrical",
    says: "Not the gears: supply, switch or motor",
    usual: -2,
    signs: [
      { fact: "symptom:dead", weight: 3, why: "nothing runs at all" },
      { fact: "symptom:output-still", weight: -2, why: "the motor runs" },
      { fact: "gear:missing-teeth", weight: -2, why: "a gear has failed" },
      { fact: "brush:short", weight: 2, why: "brushes worn short" },
    ],
    confirm: ["cord, fuse, switch, in this order, unplugged", "fixed wiring is for a licensed electrician"],
    goTo: ["find the electrical fault first; the train may be sound"],
  },
];
