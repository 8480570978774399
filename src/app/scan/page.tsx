import { ScanTag } from "@/shop/scan/scan-tag";
import { KeyLink } from "@/ui/key-link";
import { PageTitle } from "@/ui/page-title";

export default function Page() {
  return (
    <main>
      <PageTitle says="Scan a tag" />
      <header className="flex h-[58px] items-center justify-between border-b-2 border-base-content px-5">
        <h1 className="text-[30px]">Scan a tag</h1>
        <KeyLink href="/" keyName="Escape">
          The board
        </KeyLink>
      </header>
      <ScanTag />
    </main>
  );
}
