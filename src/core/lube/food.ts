import { patternOf } from "../hardware/line/pattern";
import type { Job } from "../job/job";
import { safetyKey } from "../job/keys";

/** Kinds of unit that mostly touch what is eaten or drunk. */
const FOOD = patternOf(String.raw`
  \b(?:coffee|espresso|tea|juice\w*|juicers?|citrus|fruit|mincers?|graters?|slicers?|blenders?|
  mixers?|dough|pasta|noodle|ice[- ]cream|soft[- ]serve|milk|frothers?|whisks?|egg|food|
  can opener|sausage|pepper|spice|grain|flour|bread|popcorn|waffle|rice|ricers?|potato|peelers?|
  corers?|nut ?crackers?|chestnut|rotisserie|spit|hot[- ]dog|drinks?|beverage|beer|wine|salad|
  cheese|meat|fish|kitchen|ice crushers?|honey|chocolate|candy)\b`);
/** Work on something else by such a name. */
const NO_FOOD =
  /\b(?:paint|cement|mortar|concrete|plaster|glue|resin|sound|audio|ink|scales?|kiln|peeling)\b/i;

/** The gate's name of the question. */
export const FOOD_QUESTION = safetyKey("touches-food");

/**
 * Whether a kind of unit mostly touches food: asked, not taken for a fact.
 *
 * @example mayTouchFood("espresso machine") // true
 */
export const mayTouchFood = (kind: string): boolean => FOOD.test(kind) && !NO_FOOD.test(kind);

type FoodFacts = Pick<Job, "foodContact"> & Partial<Pick<Job, "kind" | "answers">>;

/** Whether it has to be asked: it may touch food, and nobody has said yes or no. */
export const isFoodAsked = (job: FoodFacts): boolean =>
  !job.foodContact &&
  mayTouchFood(job.kind ?? "") &&
  !job.answers?.some((a) => a.question === FOOD_QUESTION && a.answer === "no");

/** Whether lubricants are chosen as for food: it touches some, or may, and nobody has said that it does not. */
export const goesByFood = (job: FoodFacts): boolean => job.foodContact || isFoodAsked(job);
