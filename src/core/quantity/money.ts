const twoPlaces = new Intl.NumberFormat("en-GB", { minimumFractionDigits: 2, maximumFractionDigits: 2 });

/**
 * An amount as it is written, with the shop's own sign behind it where one is given.
 *
 * @example money(1234.5, "€") // "1,234.50 €"
 */
export const money = (amount: number, currency = ""): string =>
  `${twoPlaces.format(amount)} ${currency}`.trim();

/** What one of the shop's parts costs: a price of nothing is one that nobody told. */
export const priceSaid = (price: number, currency = ""): string =>
  price > 0 ? money(price, currency) : "no price told";
