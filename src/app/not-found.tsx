import { KeyLink } from "@/ui/key-link";
import { PageTitle } from "@/ui/page-title";

export default function NotFound() {
  return (
    <main className="mx-auto flex max-w-[700px] flex-col gap-5 p-16">
      <PageTitle says="Nothing here" />
      <h1 className="text-[44px]">There is nothing at this address.</h1>
      <p className="text-[22px]">
        The job may have another number, or was never taken in here. Nothing was lost: every job is on the
        board.
      </p>
      <KeyLink href="/" keyName=" " look="main">
        To the board
      </KeyLink>
    </main>
  );
}
