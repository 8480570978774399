import { ReturnSheet } from "@/stages/hand-back/return-sheet";
import { returnSheet, sheetForm } from "@/stages/hand-back/return-sheet-view";
import { KeyLink } from "@/ui/key-link";
import { PrintPage } from "@/ui/print-page";
import { found, type JobAddress } from "../address";

interface SheetAddress extends JobAddress {
  readonly searchParams: Promise<{ readonly form?: string; readonly units?: string }>;
}

export default async function Page({ params, searchParams }: SheetAddress) {
  const { number } = await params;
  const wanted = await sheetForm(await searchParams);
  const report = await found(returnSheet(number, wanted));
  const at = (change: Partial<typeof wanted>): string => `?${new URLSearchParams({ ...wanted, ...change })}`;
  const keys = (
    <>
      <KeyLink href={`/jobs/${number}/hand-back`} keyName="Escape">
        Back to the job
      </KeyLink>
      <a className="key-button" href={`/api/jobs/${number}/sheet${at({})}`} download>
        Save as PDF
      </a>
      <KeyLink
        href={`/jobs/${number}/sheet${at({ form: wanted.form === "long" ? "short" : "long" })}`}
        keyName="S"
      >
        {wanted.form === "long" ? "Short, without its annex" : "Whole, with its annex"}
      </KeyLink>
      <KeyLink
        href={`/jobs/${number}/sheet${at({ units: wanted.units === "metric" ? "inch" : "metric" })}`}
        keyName="U"
      >
        {wanted.units === "metric" ? "Ounces, inches, °F" : "Grams, millimetres, °C"}
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
      <ReturnSheet report={report} />
    </PrintPage>
  );
}
