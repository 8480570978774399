import { CALIPER_U_MM } from "../../quantity/caliper";
import { type MeasuredInput, measured } from "../../quantity/measured";
import type { GearSpec } from "../catalogue/catalogue-part";
import { gearForm } from "../catalogue/part-spec";
import { compared, materialCriterion, type Otherwise } from "./compared";
import { type CompanionGear, meshCriteria } from "./mesh";
import { type Criterion, criterion } from "./verdict";
import type { WantedGear } from "./wanted-gear";

/**
 * A catalogue gear against the gear that is wanted, criterion by criterion.
 *
 * Form, teeth, module, pressure angle, helix and hand decide whether it meshes at all (ISO 21771); see {@link meshCriteria} for tooth counts and centre distance. Face and bore can be made to fit: wider is faced off, a smaller bore
 * reamed.
 *
 * @param companions the gears that are sold with it
 */
export function gearVerdict(wanted: WantedGear, offered: GearSpec, companions: readonly CompanionGear[]): Criterion[] {
  const value = (x: MeasuredInput): number => measured(x, 0).value;
  const out: Criterion[] = [];
  if (wanted.form && wanted.form !== gearForm(offered))
    out.push(criterion("form", wanted.form, gearForm(offered), "exact", "no", `a ${gearForm(offered)} gear does not run where a ${wanted.form} one did`));
  out.push(...meshCriteria(wanted, offered, companions));
  const moduleMm = value(wanted.moduleMm);
  out.push(
    compared(wanted.moduleMm, offered.moduleMm, {
      name: "module",
      unit: "mm",
      tolerance: 0.002 * moduleMm,
      instrumentU: 0,
      ask: "measure another span",
      sameSays: "the teeth have the same size",
      otherwise: () => ["no", "teeth of another size ride up on each other"],
    }),
  );
  const alphaSame = Math.abs(offered.pressureAngleDeg - wanted.pressureAngleDeg) < 0.3;
  out.push(
    criterion(
      "pressure angle",
      `${wanted.pressureAngleDeg}°`,
      `${offered.pressureAngleDeg}°`,
      "0.3°",
      alphaSame ? "same" : "no",
      alphaSame ? "the flanks have the same slope" : "flanks of another slope bind and wear through",
    ),
  );
  out.push(
    compared(wanted.helixAngleDeg, offered.helixAngleDeg, {
      name: "helix angle",
      unit: "°",
      tolerance: 1,
      instrumentU: 0.5,
      ask: "measure the helix",
      sameSays: "lies along the same line as its mate",
      otherwise: () => ["no", "touches its mate only at a corner"],
    }),
  );
  if (value(wanted.helixAngleDeg) !== 0 || offered.helixAngleDeg !== 0) out.push(handCriterion(wanted.hand, offered.hand));
  const size = (name: string, w: MeasuredInput | undefined, o: number | undefined, tolerance: number, otherwise: Otherwise): Criterion =>
    compared(w, o, { name, unit: "mm", tolerance, instrumentU: CALIPER_U_MM, ask: `measure the ${name}`, otherwise });
  out.push(
    size("face width", wanted.faceWidthMm, offered.faceWidthMm, 0.2, (o, w) =>
      o > w
        ? ["rework", `face ${round(o - w)} mm off, or check that there is room`]
        : o > w * 0.9
          ? ["fits", "a little narrower, it carries a little less"]
          : ["no", "too narrow to carry the load"],
    ),
    size("bore", wanted.boreMm, offered.boreMm, 0.03, (o, w) =>
      o < w ? ["rework", `ream the bore from ${round(o)} to ${round(w)} mm`] : ["no", "the bore is too wide for the shaft"],
    ),
  );
  if (wanted.boreForm || offered.boreForm) {
    const same = wanted.boreForm === offered.boreForm;
    out.push(
      criterion(
        "bore form",
        wanted.boreForm ?? "not noted",
        offered.boreForm ?? "not told",
        "exact",
        same ? "same" : wanted.boreForm && offered.boreForm ? "no" : "settle",
        same ? "it drives as before" : wanted.boreForm && offered.boreForm ? "it cannot be driven by this shaft" : "look at the bore to settle it",
      ),
    );
  }
  const material = materialCriterion(wanted.material, offered.material, "a plastic gear is often the fuse; what breaks next may cost more");
  return material ? [...out, material] : out;
}

function handCriterion(wanted: WantedGear["hand"], offered: WantedGear["hand"]): Criterion {
  const hand = wanted === undefined || offered === undefined ? "settle" : wanted === offered ? "same" : "no";
  return criterion(
    "hand",
    wanted ?? "not noted",
    offered ?? "not told",
    "exact",
    hand,
    hand === "same"
      ? "leans as its mate asks for"
      : hand === "no"
        ? "the wrong hand does not mesh with what it ran with"
        : "look which way the teeth lean to settle it",
  );
}

const round = (x: number): string => String(Number(x.toFixed(3)));
