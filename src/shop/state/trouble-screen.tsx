import { capital } from "@/core/sentence";
import { PageTitle } from "@/ui/page-title";

/** In place of every screen, where the shop cannot be opened at all. */
export function TroubleScreen({ says, todo }: { readonly says: string; readonly todo: string }) {
  return (
    <main className="mx-auto flex max-w-[860px] flex-col gap-5 p-16">
      <PageTitle says="The shop cannot be opened" />
      <h1 className="text-[44px]">The shop cannot be opened.</h1>
      <p className="text-[24px] font-semibold text-error">{capital(says)}.</p>
      <p className="text-[22px]">{todo}</p>
    </main>
  );
}
