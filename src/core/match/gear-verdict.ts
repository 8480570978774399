import { radians } from "../quantity/units";
import type { GearSpec } from "./catalogue-part";
import { type Criterion, criterion } from "./verdict";

/** The gear that is looked for. What was not measured is left out, and shows as "measure it". */
export interface WantedGear {
  readonly teeth: number;
  readonly moduleMm: number;
  readonly pressureAngleDeg: number;
  readonly helixAngleDeg: number;
  readonly hand?: "left" | "right" | undefined;
  readonly profileShift: number;
  readonly faceWidthMm?: number | undefined;
  readonly boreMm?: number | undefined;
  readonly boreForm?: string | undefined;
  readonly material?: string | undefined;
  /** the gear it runs with, if that one stays */
  readonly mate?: { readonly teeth: number; readonly moduleMm?: number | undefined } | undefined;
}

/**
 * A catalogue gear against the gear that is wanted, criterion by criterion.
 *
 * Teeth, module, pressure angle, helix and hand decide whether it meshes at all (ISO 21771: a pair shares m_n and α_n; on parallel shafts
 * equal β and opposite hands). On fixed centres (z1 + z2) m/(2 cos β) must stay: another tooth count is refused as long as the mate stays, and is
 * possible with companions when the mate is renewed with it. Face and bore can be made to fit: wider is faced off, a smaller bore reamed.
 */
export function gearVerdict(wanted: WantedGear, offered: GearSpec, companions: boolean): Criterion[] {
  const out: Criterion[] = [];
  const teethDiffer = offered.teeth !== wanted.teeth;
  out.push(
    criterion("teeth", `${wanted.teeth}`, `${offered.teeth}`, "exact", teethDiffer ? (companions ? "companion" : "no") : "same",
      teethDiffer
        ? companions
          ? `${offered.teeth} teeth for ${wanted.teeth}: only together with the pinion that goes with it; the old pinion must go`
          : `${offered.teeth} teeth for ${wanted.teeth} changes the ratio and the centre distance; it does not mesh with what stays`
        : "the ratio stays"),
  ); // biome-ignore format: one criterion, one block
  const moduleOff = Math.abs(offered.moduleMm - wanted.moduleMm) / wanted.moduleMm;
  out.push(
    criterion("module", `${round(wanted.moduleMm)} mm`, `${round(offered.moduleMm)} mm`, "0.2 %", moduleOff <= 0.002 ? "same" : "no",
      moduleOff <= 0.002 ? "the teeth have the same size" : "teeth of another size ride up on each other"),
  ); // biome-ignore format: one criterion, one block
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
  out.push(...helixCriteria(wanted, offered));
  if (wanted.mate) out.push(centreDistance(wanted, wanted.mate, offered, companions));
  out.push(
    sizeCriterion("face width", wanted.faceWidthMm, offered.faceWidthMm, 0.2, (o, w) =>
      o > w
        ? ["rework", `face ${round(o - w)} mm off, or check that there is room`]
        : o > w * 0.9
          ? ["fits", "a little narrower, it carries a little less"]
          : ["no", "too narrow to carry the load"],
    ),
  );
  out.push(
    sizeCriterion("bore", wanted.boreMm, offered.boreMm, 0.03, (o, w) =>
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
  if (wanted.material && offered.material) {
    const same = wanted.material === offered.material;
    out.push(
      criterion(
        "material",
        wanted.material,
        offered.material,
        "–",
        same ? "same" : "fits",
        same ? "as it was" : `${offered.material} for ${wanted.material}: a plastic gear is often the fuse; what breaks next may cost more`,
      ),
    );
  }
  return out;
}

function helixCriteria(wanted: WantedGear, offered: GearSpec): Criterion[] {
  const same = Math.abs(offered.helixAngleDeg - wanted.helixAngleDeg) <= 1;
  const out = [
    criterion(
      "helix angle",
      `${round(wanted.helixAngleDeg)}°`,
      `${round(offered.helixAngleDeg)}°`,
      "1°",
      same ? "same" : "no",
      same ? "lies along the same line as its mate" : "touches its mate only at a corner",
    ),
  ];
  if (wanted.helixAngleDeg === 0 && offered.helixAngleDeg === 0) return out;
  const hand = wanted.hand === undefined || offered.hand === undefined ? "settle" : wanted.hand === offered.hand ? "same" : "no";
  out.push(
    criterion(
      "hand",
      wanted.hand ?? "not noted",
      offered.hand ?? "not told",
      "exact",
      hand,
      hand === "same"
        ? "opposite to its mate, as it must be"
        : hand === "no"
          ? "the wrong hand does not mesh on parallel shafts"
          : "look which way the teeth lean to settle it",
    ),
  );
  return out;
}

function centreDistance(wanted: WantedGear, mate: { readonly teeth: number }, offered: GearSpec, companions: boolean): Criterion {
  const half = (teeth: number, m: number, beta: number): number => (m * (teeth + mate.teeth)) / (2 * Math.cos(radians(beta)));
  const is = half(wanted.teeth, wanted.moduleMm, wanted.helixAngleDeg);
  const would = half(offered.teeth, offered.moduleMm, offered.helixAngleDeg);
  const off = Math.abs(is - would);
  const fits = off <= 0.02 * wanted.moduleMm;
  return criterion(
    "centre distance",
    `${round(is)} mm`,
    `${round(would)} mm`,
    `${round(0.02 * wanted.moduleMm)} mm`,
    fits ? "same" : companions ? "companion" : "no",
    fits
      ? `sits on the old shafts with the ${mate.teeth}-tooth mate`
      : companions
        ? "the tooth sum must be made up by the pinion sold with it"
        : `would need the shafts ${round(off)} mm apart from where they are`,
  );
}

function sizeCriterion(
  name: string,
  wanted: number | undefined,
  offered: number | undefined,
  tolerance: number,
  otherwise: (offered: number, wanted: number) => readonly [Criterion["verdict"], string],
): Criterion {
  const w = wanted === undefined ? "not measured" : `${round(wanted)} mm`;
  const o = offered === undefined ? "not told" : `${round(offered)} mm`;
  if (wanted === undefined || offered === undefined)
    return criterion(name, w, o, `${tolerance} mm`, "settle", wanted === undefined ? `measure the ${name} to settle it` : `ask the seller for the ${name}`);
  if (Math.abs(wanted - offered) <= tolerance) return criterion(name, w, o, `${tolerance} mm`, "same", "within tolerance");
  const [verdict, says] = otherwise(offered, wanted);
  return criterion(name, w, o, `${tolerance} mm`, verdict, says);
}

const round = (x: number): string => String(Number(x.toFixed(3)));
