import { paperView } from "@/stages/rebuild/plan/paper-view";
import { PlanPaper } from "@/stages/rebuild/plan/plan-paper";
import { KeyLink } from "@/ui/key-link";
import { PrintPage } from "@/ui/print-page";
import { found, type JobAddress } from "../../address";

export default async function Page({ params }: JobAddress) {
  const { number } = await params;
  const keys = (
    <KeyLink href={`/jobs/${number}/rebuild/plan`} keyName="Escape">
      Back to the plan
    </KeyLink>
  );
  return (
    <PrintPage title={`${number} · Rebuild plan, to print`} keys={keys}>
      <PlanPaper {...(await found(paperView(number)))} />
    </PrintPage>
  );
}
