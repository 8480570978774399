import { redirect } from "next/navigation";
import { QuoteSheet } from "@/stages/match/quote-sheet";
import { quoteSheetView } from "@/stages/match/quote-sheet-view";
import { KeyLink } from "@/ui/key-link";
import { PrintPage } from "@/ui/print-page";
import type { JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { number } = await params;
  // none was made yet: where it is made
  const view = (await quoteSheetView(number)) ?? redirect(`/jobs/${number}/match/quote`);
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
