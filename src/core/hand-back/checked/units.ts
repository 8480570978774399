import type { finalChecks } from "../final-checks";

type Unit = Parameters<typeof finalChecks>[0] & { readonly causes?: readonly string[] };

/** A part as it is recorded, its kind said. */
const part = (name: string, kind: NonNullable<Unit["parts"]>[number]["kind"]) => ({ name, kind });
const greased = [{ name: "gear case", lubricant: "L1" }];
const gears = [part("crown wheel", "gear"), part("pinion", "gear")];

/** Units of kinds that the demo does not have, as they come to Hand back. */
export const CHECKED_UNITS: readonly Unit[] = [
  { kind: "glue pot", supplies: ["mains"], protectionClass: "I", complaint: "stays cold", parts: [part("ring element", "heater"), part("thermostat", "switch")], hazards: ["heat"], looseItems: [], causes: ["electrical"] },
  { kind: "earth auger", supplies: ["petrol"], complaint: "turns, bites nothing", parts: [...gears, part("output seal", "seal")], chambers: greased, hazards: ["fuel", "blade"], looseItems: [], causes: ["jam"] },
  { kind: "air shear", supplies: ["air"], complaint: "no force", parts: [part("rotor", "shaft"), part("end plate o-ring", "o-ring")], hazards: ["blade"], looseItems: [], causes: ["dry"] },
  { kind: "pruning shears", supplies: ["battery"], complaint: "stops half way", parts: gears, chambers: greased, hazards: ["blade", "lithium"], looseItems: ["charger"], causes: ["overload"] },
  { kind: "carriage clock", supplies: ["spring"], complaint: "stops at night", parts: [part("centre wheel", "gear")], hazards: ["spring"], looseItems: ["key"], causes: ["dry"] },
  { kind: "lawn sprinkler drive", supplies: ["water"], complaint: "does not sweep", parts: [...gears, part("inlet seal", "seal")], looseItems: [], causes: ["dirt"] },
  { kind: "hand mangle", supplies: ["hand"], complaint: "slips", parts: [part("top roller", "roller"), ...gears], looseItems: [], causes: ["worn-mate"] },
  { kind: "chain hoist", supplies: ["mains"], protectionClass: "I", complaint: "lets the load creep", parts: [...gears, { name: "brake disc" }], chambers: [{ name: "gear case", lubricant: "L2", filling: "oil" }], hazards: ["heavy"], looseItems: [], causes: ["worn-out"] },
  { kind: "oil heater", supplies: ["mains"], protectionClass: "I", complaint: "trips the breaker", parts: [part("element", "heater")], hazards: ["heat"], looseItems: [], causes: ["water"] },
  { kind: "fan heater", supplies: ["mains"], protectionClass: "II", complaint: "smells", parts: [part("fan wheel", "fan"), part("element", "heater"), part("motor", "motor")], looseItems: [], causes: ["dirt"] },
  { kind: "paper drill", supplies: ["mains"], protectionClass: "I", complaint: "belt squeals", parts: [part("drive belt", "belt"), part("motor pulley", "pulley")], hazards: ["blade"], looseItems: [], causes: ["age"] },
  { kind: "model railway turntable", supplies: ["mains"], protectionClass: "III", complaint: "jerks", parts: gears, looseItems: [], causes: ["crumbs"] },
  { kind: "awning motor", supplies: ["mains"], protectionClass: "I", complaint: "hums", parts: gears, steps: [{ id: "s1", wires: [{ colour: "black", to: "up" }] }], chambers: greased, looseItems: [], causes: ["fatigue"] },
  { kind: "dough mixer", supplies: ["mains"], protectionClass: "I", complaint: "grinds", parts: gears, chambers: greased, foodContact: true, looseItems: ["hook"], causes: ["fatigue"] },
  { kind: "waffle iron", supplies: ["mains"], protectionClass: "I", complaint: "", parts: [part("hinge pin", "pin")], foodContact: true, hazards: ["heat"], looseItems: [], causes: [] },
  { kind: "paint pump", supplies: ["mains"], protectionClass: "I", complaint: "no pressure", parts: [...gears, part("piston packing", "seal")], chambers: greased, hazards: ["pressure"], looseItems: [], causes: ["wrong-part"] },
  { kind: "cordless drill", supplies: ["battery"], complaint: "slips in second gear", parts: gears, chambers: greased, steps: [{ id: "s1", said: "speed selector slides off" }], hazards: ["lithium"], looseItems: [], causes: ["hub"] },
  { kind: "nail clipper motor", supplies: ["battery"], complaint: "dead", parts: [part("motor", "motor"), part("brush", "brush")], looseItems: [], causes: ["motor"] },
  { kind: "desk lamp", supplies: ["mains"], protectionClass: "II", complaint: "flickers", parts: [part("switch", "switch")], looseItems: [], causes: ["electrical"] },
  { kind: "spinning wheel", supplies: ["hand"], complaint: "wobbles", parts: [part("flyer bearing", "bearing")], looseItems: [], causes: ["bearing"] },
]; // biome-ignore format: a unit a row
