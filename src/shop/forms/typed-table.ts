/**
 * Tables whose rows are also filled in by hand, a form each. Greases have a form of their own: jobs know them
 * by an id.
 */
export const TYPED_TABLES = ["parts", "suppliers", "offers"] as const;
export type TypedTable = (typeof TYPED_TABLES)[number];
