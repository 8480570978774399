import { capital } from "@/core/sentence";
import { PageTitle } from "@/ui/page-title";

interface Told {
  readonly says: string;
  readonly todo: string;
}

/** In place of every screen, where the shop cannot be opened at all. */
export function TroubleScreen({ says, todo }: Told) {
  return (
    <main className="mx-auto flex max-w-[860px] flex-col gap-5 p-16">
      <PageTitle says="The shop cannot be opened" />
      <h1 className="text-[44px]">The shop cannot be opened.</h1>
      <p className="text-[24px] font-semibold text-error">{capital(says)}.</p>
      <p className="text-[22px]">{todo}</p>
    </main>
  );
}

/** Over the foot of every screen, where it can be looked at but not worked in, or soon will not. */
export function TroubleBar({ says, todo }: Told) {
  return (
    <div role="alert" className="no-print fixed inset-x-0 bottom-0 z-50 flex items-baseline gap-4 border-t-4 border-error bg-base-100 px-5 py-2.5 text-[19px]">
      <b className="text-error">{capital(says)}.</b>
      <span>{todo}</span>
    </div>
  );
}
