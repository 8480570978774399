/** A value as everybody but its maker sees it: no field of it, at any depth, is written to. */
export type Frozen<T> = T extends (...args: never[]) => unknown
  ? T
  : T extends object
    ? { readonly [K in keyof T]: Frozen<T[K]> }
    : T;
