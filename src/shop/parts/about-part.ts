import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import type { AboutPart } from "@/core/match/catalogue/found-parts";
import { kitsWith, partsNumbered, replacedBy } from "@/store/catalogue";
import { offersFor } from "@/store/offers";

export async function partNumbered(number: string): Promise<AboutPart | null> {
  const [part] = await partsNumbered([number]);
  if (!part) return null;
  const brief = (p: CataloguePart) => ({ number: p.number, name: p.name });
  return {
    part,
    offers: await offersFor([number]),
    replacedBy: (await replacedBy(number)).map((p) => ({
      ...brief(p),
      when: p.replaces.find((r) => r.number === number)?.when,
    })),
    inKits: (await kitsWith([number])).map(brief),
  };
}
