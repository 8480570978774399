import { notFound } from "next/navigation";
import { fromAddress } from "@/core/job/address";

/** Where a page of a job stands: its number, and perhaps a part of it. */
export interface JobAddress {
  readonly params: Promise<{ readonly number: string }>;
}
export interface PartAddress {
  readonly params: Promise<{ readonly number: string; readonly part: string }>;
}

/** With what is aimed at. */
export interface AimAddress extends JobAddress {
  readonly searchParams: Promise<{ readonly aim?: string }>;
}

/** With the part that is to be reached, and by which strip. */
export interface WayInAddress extends JobAddress {
  readonly searchParams: Promise<{ readonly part?: string; readonly from?: string }>;
}

/** The part that an address speaks of, by its id. */
export const partAddress = ({
  number,
  part,
}: {
  readonly number: string;
  readonly part: string;
}): { number: string; part: string } => ({
  number,
  part: fromAddress(part),
});

/** The view a page asked for, or the page that says there is none. */
export async function found<T>(view: Promise<T | null>): Promise<T> {
  return (await view) ?? notFound();
}
