import { ReturnSheet } from "@/stages/hand-back/return-sheet";
import { returnSheetView } from "@/stages/hand-back/return-sheet-view";
import { KeyLink } from "@/ui/key-link";
import { PrintPage } from "@/ui/print-page";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { number } = await params;
  const view = await found(returnSheetView(number));
  const keys = (
    <>
      <KeyLink href={`/jobs/${number}/hand-back`} keyName="Escape">
        Back to the job
      </KeyLink>
      <a className="key-button" href={`/api/jobs/${number}/file`}>
        Job file, for another shop
      </a>
      <KeyLink href={`/jobs/${number}/history`} keyName="H">
        History
      </KeyLink>
    </>
  );
  return (
    <PrintPage title={`${number} · Return sheet`} keys={keys}>
      <ReturnSheet {...view} />
    </PrintPage>
  );
}
