/** Where a fault stands that only asks: what was typed may be meant. */
export const MEANT = "grams.meant";

/** Where a fault says that some cleaning is not ticked. */
export const LEFT = "cleaning.left";
