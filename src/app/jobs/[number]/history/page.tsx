import { mayDo } from "@/core/door/role";
import { whoAsks } from "@/door/who";
import { ForgetHere } from "@/shop/customers/forget-here";
import { jobHistory } from "@/store/change";
import { loadHead } from "@/store/job";
import { dayAs } from "@/ui/day";
import { KeyLink } from "@/ui/key-link";
import { PageTitle } from "@/ui/page-title";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const job = await found(loadHead((await params).number));
  const lines = await jobHistory(job.number);
  const isOwner = mayDo((await whoAsks()).role, "owner");
  return (
    <main className="mx-auto max-w-[1000px] p-6">
      <PageTitle says={`${job.number} · History`} />
      <div className="flex items-center justify-between pb-4">
        <h1 className="text-[32px]">{job.number}: everything that was done, newest first</h1>
        <a className="key-button ml-auto mr-3" href={`/api/jobs/${job.number}/file`} download>
          Save the job file
        </a>
        <KeyLink href={`/jobs/${job.number}/${job.stage}`} keyName="Escape">
          Back to the job
        </KeyLink>
      </div>
      {isOwner && job.customerName && <ForgetHere number={job.number} name={job.customerName} />}
      <ol>
        {lines.map((l) => (
          <li
            key={l.version}
            className="grid grid-cols-[190px_1fr] border-b-2 border-base-300 py-1.5 text-[19px]"
          >
            <time className="figures text-[17px]">{dayAs(l.at, "d MMM HH:mm:ss")}</time>
            <span>
              {l.what}
              {(l.who || l.device) && (
                <span className="hush"> · {[l.who, l.device].filter(Boolean).join(", ")}</span>
              )}
            </span>
          </li>
        ))}
      </ol>
    </main>
  );
}
