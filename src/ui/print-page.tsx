import type { ReactNode } from "react";
import { PageTitle } from "./page-title";
import { PrintButton } from "./print-button";

/** A page that is there to be printed: its keys above, which stay off the paper, and the sheet. */
export function PrintPage({
  title,
  keys,
  says,
  children,
}: {
  title: string;
  keys: ReactNode;
  says?: ReactNode;
  children: ReactNode;
}) {
  return (
    <main className="min-h-dvh bg-base-300 print:bg-white">
      <PageTitle says={title} />
      <nav className="no-print flex flex-wrap items-center gap-3 p-4">
        <PrintButton />
        {keys}
        {says && <p className="text-[20px]">{says}</p>}
      </nav>
      {children}
    </main>
  );
}
