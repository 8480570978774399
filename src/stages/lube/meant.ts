/** Where a fault stands that only asks: what was typed may be meant. */
export const MEANT = "grams.meant";
