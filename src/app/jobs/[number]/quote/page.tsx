import { QuoteSheet } from "@/stages/match/quote-sheet";
import { quoteSheetView } from "@/stages/match/quote-sheet-view";
import { KeyLink } from "@/ui/key-link";
import { PrintPage } from "@/ui/print-page";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { number } = await params;
  const view = await found(quoteSheetView(number));
  const keys = (
    <KeyLink href={`/jobs/${number}/match/quote`} keyName="Escape">
      Back to the quote
    </KeyLink>
  );
  return (
    <PrintPage title={`${number} · Quote, to print`} keys={keys}>
      <QuoteSheet {...view} />
    </PrintPage>
  );
}
