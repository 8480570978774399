import { Fault, readWith } from "../fault";
import { type FigureOf, typedFigure } from "../quantity/typed-figure";
import { type Cells, flagFrom, numberFrom, type Table, under } from "../table/cells";
import { DEFAULT_DENSITY } from "./charge";
import {
  BASE_OILS,
  GREASE_THICKENERS,
  type GreaseOnShelf,
  greaseOnShelf,
  NLGI_NAMES,
  nlgiFrom,
  nlgiName,
  SOLIDS,
  thickenerName,
} from "./lubricant";
import { oilClass } from "./oil-class";

/** Each field of a grease that is a number or a text, and the heading it stands under. */
const COLUMNS = {
  name: "name",
  sort: "sort",
  thickener: "thickener",
  baseOil: "base_oil",
  nlgi: "nlgi",
  viscosityMm2s: "viscosity_mm2_s",
  solids: "solids",
  ep: "ep",
  activeSulphur: "active_sulphur",
  h1: "h1",
  leastC: "from_c",
  mostC: "to_c",
  densityGPerMl: "density_g_per_ml",
  lot: "lot",
  openedOn: "opened_on",
  stockG: "stock_g",
  pricePer100G: "price_per_100_g",
  retired: "retired",
} as const satisfies Readonly<Record<keyof GreaseOnShelf, string>>;
const columnOf = (field: string): string =>
  new Map<string, string>(Object.entries(COLUMNS)).get(field) ?? "name";

/** How a figure of a grease is read: in whatever unit it is typed; of an oil's thickness its class too. */
const FIGURE_OF: Readonly<Partial<Record<(typeof FIGURES)[number], FigureOf>>> = {
  leastC: "temperature",
  mostC: "temperature",
  stockG: "mass",
};
function figureFrom(cells: Cells, f: (typeof FIGURES)[number]): number {
  const typed = cells[COLUMNS[f]] ?? "";
  const of = FIGURE_OF[f];
  if (of) {
    const read = typedFigure(typed, of, { densityGPerMl: Number(cells.density_g_per_ml) || DEFAULT_DENSITY });
    if (typeof read === "string") throw new Fault(COLUMNS[f], read);
    return Math.round(read.value * 100) / 100;
  }
  const told = f === "viscosityMm2s" ? oilClass(typed).viscosityMm2s : undefined;
  return told ?? numberFrom(typed, COLUMNS[f]);
}

const FIGURES = ["viscosityMm2s", "leastC", "mostC", "densityGPerMl", "stockG", "pricePer100G"] as const;

const SORTS = ["grease", "oil"] as const;

/** One of a list of names, however it is written. */
function oneOf<T extends string>(
  cells: Cells,
  column: string,
  of: readonly T[],
  says: (t: T) => string = (t) => t,
): T {
  const typed = (cells[column] ?? "").trim().toLowerCase();
  const found = of.find((t) => t.toLowerCase() === typed || says(t).toLowerCase() === typed);
  if (!typed) throw new Fault(column, "is missing");
  if (!found) throw new Fault(column, `"${cells[column]}" is none of: ${of.map(says).join(", ")}`);
  return found;
}

/** Greases of the shelf, one a row; the same cells are the fields of its form. */
export const greasesTable: Table<GreaseOnShelf> = {
  name: "greases",
  columns: Object.values(COLUMNS),
  must: ["name", "base_oil"],
  keyOf: (g) => g.name,
  keyIn: (cells) => (cells.name ?? "").trim(),
  read(cells) {
    const oil = cells.sort?.trim() ? oneOf(cells, "sort", SORTS) === "oil" : false;
    const nlgi = nlgiFrom(cells.nlgi ?? "");
    const raw = {
      name: cells.name ?? "",
      ...(oil
        ? { sort: "oil" }
        : { thickener: oneOf(cells, "thickener", GREASE_THICKENERS, thickenerName), nlgi }),
      baseOil: oneOf(cells, "base_oil", BASE_OILS),
      ...(cells.solids?.trim()
        ? {
            solids: cells.solids
              .split(/[,;+ ]+/)
              .filter(Boolean)
              .map((s) => oneOf({ solids: s }, "solids", SOLIDS)),
          }
        : {}),
      ...(cells.ep?.trim() ? { ep: flagFrom(cells.ep, "ep") } : {}),
      ...(cells.active_sulphur?.trim()
        ? { activeSulphur: flagFrom(cells.active_sulphur, "active_sulphur") }
        : {}),
      h1: flagFrom(cells.h1 ?? "", "h1"),
      ...(flagFrom(cells.retired ?? "", "retired") ? { retired: true } : {}),
      ...Object.fromEntries(
        FIGURES.flatMap((f) => (cells[COLUMNS[f]]?.trim() ? [[f, figureFrom(cells, f)]] : [])),
      ),
      ...(cells.lot?.trim() ? { lot: cells.lot.trim() } : {}),
      ...(cells.opened_on?.trim() ? { openedOn: cells.opened_on.trim() } : {}),
    };
    if (!oil && nlgi === undefined)
      throw new Fault(
        "nlgi",
        cells.nlgi?.trim() ? `"${cells.nlgi}" is none of: ${NLGI_NAMES.join(", ")}` : "is missing",
      );
    return under(() => readWith(greaseOnShelf, raw), columnOf);
  },
  write(g) {
    const figure = (n: number | undefined): string => (n === undefined ? "" : String(n));
    return {
      name: g.name,
      sort: g.sort ?? "",
      thickener: g.thickener ?? "",
      base_oil: g.baseOil,
      nlgi: g.nlgi === undefined ? "" : nlgiName(g.nlgi),
      viscosity_mm2_s: figure(g.viscosityMm2s),
      solids: (g.solids ?? []).join(", "),
      ep: g.ep === undefined ? "" : g.ep ? "yes" : "no",
      active_sulphur: g.activeSulphur === undefined ? "" : g.activeSulphur ? "yes" : "no",
      h1: g.h1 ? "yes" : "",
      from_c: String(g.leastC),
      to_c: String(g.mostC),
      density_g_per_ml: figure(g.densityGPerMl),
      lot: g.lot ?? "",
      opened_on: g.openedOn ?? "",
      stock_g: figure(g.stockG),
      price_per_100_g: figure(g.pricePer100G),
      retired: g.retired ? "yes" : "",
    };
  },
};
