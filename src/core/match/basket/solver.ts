import highsLoader from "highs";
import { holds, programText, type Solve, TimeUp } from "./linear-program";

/**
 * Few cuts kept and few heuristics tried: on baskets the proof is short and the gathering of cuts is what
 * takes the time. None of these changes the answer.
 */
const LEAN = {
  mip_pool_soft_limit: 100,
  mip_pool_age_limit: 3,
  mip_detect_symmetry: false,
  mip_heuristic_effort: 0.01,
  mip_allow_restart: false,
};

let loaded: Promise<Solve> | undefined;
/** Where a browser finds the solver's WebAssembly. */
type Place = (file: string) => string;

/**
 * HiGHS, a branch-and-cut solver for mixed integer programs, compiled to WebAssembly (loaded once). What it
 * returns is proven least: the
 * goals here are whole numbers (cents), so that a gap under one is none.
 *
 * @param locateFile in a browser: the address of a file of the solver; elsewhere it finds them itself
 */
export function solver(locateFile?: Place): Promise<Solve> {
  loaded ??= highsLoader(locateFile ? { locateFile } : undefined).then(
    (highs): Solve =>
      (program, seconds) => {
        const asked = { mip_rel_gap: 0, mip_abs_gap: 0.99, ...LEAN, output_flag: false };
        const { Status, Columns, ObjectiveValue } = highs.solve(
          programText(program),
          seconds === undefined ? asked : { ...asked, time_limit: seconds },
        );
        if (Status === "Infeasible") return null;
        const values = (): Map<string, number> =>
          new Map(
            program.unknowns.map((u) => [u.name, Math.round((Columns[u.name] as { Primal: number }).Primal)]),
          );
        if (Status === "Time limit reached") {
          const had = Number.isFinite(ObjectiveValue) ? values() : null;
          // the solver does not tell its own bound: that of the program in fractions is one too
          const least = highs.solve(programText(program, "fractions"), { output_flag: false }).ObjectiveValue;
          throw new TimeUp(had && holds(program, (name) => had.get(name) as number) ? had : null, least);
        }
        if (Status !== "Optimal") throw new Error(`the solver stopped: ${Status}`);
        return values();
      },
  );
  return loaded;
}
