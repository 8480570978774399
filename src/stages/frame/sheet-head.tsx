import type { Job } from "@/core/job/job";
import { dayAs } from "@/ui/day";

/** The head of a printed sheet: what it is, of which unit, from which shop, of which day. */
export function SheetHead({
  title,
  job,
  shopName,
  town,
  at,
}: {
  title: string;
  job: Pick<Job, "kind" | "maker" | "model" | "serial">;
  shopName: string;
  town: string;
  at: string;
}) {
  return (
    <header className="flex items-end justify-between border-b-4 border-[#1d2a2c] pb-2">
      <div>
        <h1 className="text-[32px]">{title}</h1>
        <p className="text-[20px] first-letter:uppercase">
          {job.kind}, {job.maker} {job.model} {job.serial && `· serial ${job.serial}`}
        </p>
      </div>
      <p className="text-right text-[17px]">
        <b>{shopName}</b>
        <br />
        {town}
        <br />
        {dayAs(at, "d MMMM yyyy")}
      </p>
    </header>
  );
}
