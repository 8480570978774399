import { Fault } from "@/core/fault";

/** An amount of money as it is typed; null: none. @example amountFrom("price", "7,50") // 7.5 */
export function amountFrom(path: string, typed: string): number | null {
  const text = typed.trim().replace(",", ".");
  if (text && !/^\d{1,6}(\.\d{1,2})?$/.test(text))
    throw new Fault(path, "write it as an amount: 249 or 249.50");
  return text ? Number(text) : null;
}
