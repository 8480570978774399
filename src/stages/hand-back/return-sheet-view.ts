import { besideOf } from "@/core/charge/beside";
import { planOf } from "@/core/gates/job-facts";
import type { Report } from "@/core/hand-back/report/blocks";
import { UNIT_SYSTEMS, type UnitSystem } from "@/core/hand-back/report/in-units";
import { reportOf } from "@/core/hand-back/report/report";
import { partsNumbered } from "@/store/catalogue";
import { loadJob } from "@/store/job";
import { shopSettings } from "@/store/settings";
import { wholeShelf } from "@/store/shelf";
import { dayAs } from "@/ui/day";

/** How a sheet is wanted: short or with its annex, in which units. */
export interface SheetForm {
  readonly form: "short" | "long";
  readonly units: UnitSystem;
}

/**
 * What an address asks for; what it does not say is the long form, in metric units unless the shop reads
 * inches.
 */
export async function sheetForm(asked: {
  readonly form?: string | undefined;
  readonly units?: string | undefined;
}): Promise<SheetForm> {
  const shops: UnitSystem = (await shopSettings()).lengthUnit === "in" ? "inch" : "metric";
  return {
    form: asked.form === "short" ? "short" : "long",
    units: UNIT_SYSTEMS.find((u) => u === asked.units) ?? shops,
  };
}

/** The return sheet of a job, as the screen, the printed page and the PDF draw it. */
export async function returnSheet(number: string, { form, units }: SheetForm): Promise<Report | null> {
  const job = await loadJob(number);
  if (!job) return null;
  const { shopName, town, currency, rates, electrical, warrantyMonths, testMinutes, cleaningCost } =
    await shopSettings();
  const shelf = await wholeShelf();
  const numbers = [...job.findings.flatMap((f) => f.chosen ?? []), ...job.arrivals.map((a) => a.number)];
  return reportOf({
    job,
    catalogue: await partsNumbered(numbers),
    lubricants: shelf.filter((l) => job.lubePoints.some((g) => g.lubricantId === l.id)),
    shop: { name: shopName, town, currency, rates, limits: electrical, warrantyMonths },
    beside: besideOf(job, {
      cleaningCost,
      testMinutes,
      pricePer100G: Object.fromEntries(shelf.map((l) => [l.id, l.pricePer100G])),
      planMinutes: planOf(job).minutes,
    }),
    units,
    form,
    day: (iso) => dayAs(iso, "d MMMM yyyy"),
    time: (iso, withDay) => dayAs(iso, withDay ? "d MMM HH:mm" : "HH:mm"),
    now: new Date().toISOString(),
  });
}
