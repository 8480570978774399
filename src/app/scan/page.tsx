import { ScanTag } from "@/shop/scan/scan-tag";
import { KeyLink } from "@/ui/key-link";

export default function Page() {
  return (
    <main>
      <header className="flex h-[58px] items-center justify-between border-b-2 border-base-content px-5">
        <h1 className="text-[30px]">Scan a tag</h1>
        <KeyLink href="/" keyName="Escape">
          The bench
        </KeyLink>
      </header>
      <ScanTag />
    </main>
  );
}
