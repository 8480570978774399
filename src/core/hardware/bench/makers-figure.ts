import { figureAt } from "../line/figures";

export interface MakersFigure {
  readonly makersNm?: number;
  readonly makersAngleDeg?: number;
}
const ANGLE = /(?<!\d)(\d{1,3}(?:[.,]\d{1,3})?)\s{0,2}(?:°|deg(?:rees?)?)(?![\p{L}])/iu;
const BARE = /^\s*(\d+(?:[.,]\d+)?)\s*$/;

/**
 * A maker's figure as it is written: `1.2 Nm`, `15 in-lb`, `120 N cm`, `10 Nm + 90°`, `60 deg`; a bare number
 * is N m.
 *
 * @returns null where it is none; `{}` where nothing is written
 * @example makersFigure("15 in-lb") // { makersNm: 1.69 }
 */
export function makersFigure(text: string): MakersFigure | null {
  if (!text.trim()) return {};
  const number = (s: string | undefined): number => Number((s ?? "").replace(",", "."));
  const bare = BARE.exec(text);
  if (bare) return number(bare[1]) > 0 ? { makersNm: number(bare[1]) } : null;
  const angle = ANGLE.exec(text);
  const rest = angle ? text.replace(angle[0], " ") : text;
  const start = rest.search(/\d/);
  const found = start < 0 ? undefined : figureAt(rest, start);
  const nm = found?.means.t === "torque" ? found.means.nm : undefined;
  // what is left must be joints between the two, and nothing else
  const left = found && nm !== undefined ? rest.slice(0, start) + rest.slice(found.to) : rest;
  if (!/^[\s+,&]*(?:(?:and|plus|then|past|more|turn|snug)[\s+,&]*)*$/i.test(left)) return null;
  const deg = angle ? number(angle[1]) : undefined;
  if (nm === undefined && deg === undefined) return null;
  if ((nm !== undefined && !(nm > 0)) || (deg !== undefined && !(deg > 0 && deg <= 360))) return null;
  return {
    ...(nm === undefined ? {} : { makersNm: nm }),
    ...(deg === undefined ? {} : { makersAngleDeg: deg }),
  };
}
