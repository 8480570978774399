import { KeyLink } from "@/ui/key-link";
import { PageTitle } from "@/ui/page-title";

/** In place of a job whose records cannot be read: what is wrong, and what can be done. */
export function DamagedJobScreen({ number, damage }: { readonly number: string; readonly damage: string }) {
  return (
    <main className="mx-auto flex max-w-[820px] flex-col gap-5 p-16">
      <PageTitle says={`${number}, damaged`} />
      <h1 className="text-[44px]">{number} cannot be read.</h1>
      <p className="text-[22px]">
        A record of this job is not what it should be, so nothing is shown rather than something wrong. Every
        other job is as it was. The record says: <b className="figures">{damage}.</b>
      </p>
      <ol className="list-decimal pl-8 text-[22px] leading-[1.5]">
        <li>
          <b>Save what is there</b>: every row of the job as it stands, for whoever mends it.
        </li>
        <li>
          Look at the last good back-up: its copy of the job may be whole (The shop, <b>Back-up</b>).
        </li>
        <li>
          If its job file was ever saved, take that in as a new job (The shop, <b>Job files</b>).
        </li>
      </ol>
      <div className="flex gap-3">
        <a className="key-button main" href={`/api/jobs/${number}/rows`} download>
          Save what is there
        </a>
        <KeyLink keyName="Home" href="/">
          The board
        </KeyLink>
      </div>
    </main>
  );
}
