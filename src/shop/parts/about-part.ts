import type { CataloguePart, SupplierOffer } from "@/core/match/catalogue/catalogue-part";
import { kitsWith, partsNumbered, replacedBy } from "@/store/catalogue";
import { offersFor } from "@/store/offers";

/** A part with what the rest of the catalogue says about it. */
export interface AboutPart {
  readonly part: CataloguePart;
  readonly offers: readonly SupplierOffer[];
  readonly replacedBy: readonly { readonly number: string; readonly name: string; readonly when?: string }[];
  readonly inKits: readonly { readonly number: string; readonly name: string }[];
}

export async function aboutPart(number: string): Promise<AboutPart | null> {
  const [part] = await partsNumbered([number]);
  if (!part) return null;
  const brief = (p: CataloguePart) => ({ number: p.number, name: p.name });
  return {
    part,
    offers: await offersFor([number]),
    replacedBy: (await replacedBy(number)).map((p) => ({ ...brief(p), when: p.replaces.find((r) => r.number === number)?.when })),
    inKits: (await kitsWith([number])).map(brief),
  };
}
