import { gatesOf } from "@/core/gates/job-facts";
import { JobScreen } from "@/stages/frame/job-screen";
import { TakeInScreen } from "@/stages/take-in/take-in-screen";
import { counterFor } from "@/store/counter";
import { shopSettings } from "@/store/settings";
import { KeyLink } from "@/ui/key-link";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const kinds: { kind: string }[] = await db("jobs").distinct("kind").whereNot("kind", "").orderBy("kind");
  const { currency } = await shopSettings(db);
  const head = (
    <KeyLink keyName="G" href={`/jobs/${job.number}/tag`}>
      Tag
    </KeyLink>
  );
  return (
    <JobScreen job={job} showing="take-in" mat={null} head={head}>
      <TakeInScreen
        job={job}
        gates={gatesOf(job, "take-in")}
        kinds={kinds.map((k) => k.kind)}
        currency={currency}
        counter={await counterFor(db, job.maker, job.model)}
        thisYear={new Date().getFullYear()}
      />
    </JobScreen>
  );
}
