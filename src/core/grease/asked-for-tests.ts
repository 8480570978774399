import type { LubeAsk, LubeRoom } from "./lube-ask";
import type { Lubricant } from "./lubricant";
import { type RoomAnswer, specifyLube } from "./specify";

/** Lubricants, a room and a question as tests begin with them; what matters is said by each. */
export const grease = (id: string, more: Partial<Lubricant> = {}): Lubricant => ({
  id,
  name: id,
  thickener: "Li12",
  baseOil: "mineral",
  nlgi: 1,
  viscosityMm2s: 150,
  ep: false,
  h1: false,
  leastC: -30,
  mostC: 130,
  densityGPerMl: 0.9,
  ...more,
});
export const oil = (id: string, more: Partial<Lubricant> = {}): Lubricant => ({
  ...grease(id, more),
  sort: "oil",
  thickener: undefined,
  nlgi: undefined,
  ...more,
});
export const room = (more: Partial<LubeRoom> = {}): LubeRoom => ({
  id: "case",
  name: "gear case",
  filling: "grease",
  freeVolumeMl: 100,
  makersGrams: null,
  coldestC: 5,
  hottestC: 70,
  seals: ["NBR"],
  materials: ["steel"],
  old: null,
  points: [{ id: "teeth", kind: "gear-teeth", speed: "slow", materials: ["steel", "steel"] }],
  ...more,
});
export const ask = (
  chambers: LubeRoom | LubeRoom[],
  shelf: Lubricant[],
  more: Partial<LubeAsk> = {},
): LubeAsk => ({
  foodContact: false,
  school: "measured",
  chambers: [chambers].flat(),
  shelf,
  ...more,
});
export const answered = (r: LubeRoom, shelf: Lubricant[], more: Partial<LubeAsk> = {}): RoomAnswer =>
  specifyLube(ask(r, shelf, more)).chambers[0] as RoomAnswer;
