const twoPlaces = new Intl.NumberFormat("en-GB", { minimumFractionDigits: 2, maximumFractionDigits: 2 });

/** An amount with the shop's own sign behind it. @example money(1234.5, "€") // "1,234.50 €" */
export const money = (amount: number, currency: string): string => `${twoPlaces.format(amount)} ${currency}`;
