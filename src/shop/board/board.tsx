import { TriangleAlert } from "lucide-react";
import { dayAs } from "@/ui/day";
import { KeyLink } from "@/ui/key-link";
import { pack } from "@/ui/packed";
import { PageTitle } from "@/ui/page-title";
import { pictureUrl } from "@/ui/picture-frame";
import { ThemeSwitch } from "@/ui/theme-switch";
import { Way } from "@/ui/way";
import { SignedIn } from "../door/signed-in";
import { type BoardRowJob, BoardRows } from "./board-row";
import type { BoardLine, BoardView } from "./board-view";
import { type TakeIn, TakeInButton } from "./take-in-button";

/**
 * The first screen: every job with its stage, what is next, and its promise; at the foot what to take up now.
 */
export function Board({
  jobs,
  today,
  shopName,
  isNew,
  next,
  backup,
  who,
  takeIn,
}: BoardView & { /** who is signed in on this device */ who: string | null; takeIn: TakeIn }) {
  const open = jobs.filter((j) => !j.handedBackAt);
  return (
    <div className="job-frame">
      <PageTitle says="Board" />
      <header className="flex h-[58px] items-center gap-4 px-5">
        <h1 className="shrink-0 text-[30px]">The board, {dayAs(today, "EEEE d")}</h1>
        <span className="hush truncate text-[19px]">{shopName}</span>
        <div className="ml-auto flex shrink-0 gap-2.5">
          <ThemeSwitch />
          <KeyLink href="/find" keyName="/">
            Find
          </KeyLink>
          <KeyLink href="/scan" keyName="S">
            Scan a tag
          </KeyLink>
          <KeyLink href="/parts" keyName="C">
            Catalogue
          </KeyLink>
          <KeyLink href="/settings" keyName="H">
            The shop
          </KeyLink>
          <TakeInButton takeIn={takeIn} />
        </div>
      </header>
      <div
        className="grid h-[42px] grid-cols-[130px_1fr_300px_330px_190px] items-center border-y-2 border-base-content px-5 text-[20px] font-bold text-[#1d2a2c]"
        style={{ background: "linear-gradient(#ecd094, #c4953a 55%, #a9781f)" }}
      >
        <span className="col-span-2">In work and waiting: {open.length}</span>
        <span>Stage</span>
        <span>What is next</span>
        <span>Promised</span>
      </div>
      <main className="overflow-y-auto px-5">
        <ul>
          <BoardRows jobs={pack(jobs.map(rowOf))} today={today} />
        </ul>
        {jobs.length === 0 && !isNew && (
          <p className="py-10 text-[24px]">No unit is in the shop. Press N to take one in.</p>
        )}
        {isNew && <FirstSteps empty={jobs.length === 0} />}
      </main>
      <section aria-label="Next for you" className="oilcloth h-[186px]">
        <div className="stitched mt-[6px] mb-2.5" />
        {next ? (
          <div className="grid grid-cols-[216px_1fr_340px] gap-6 px-5">
            <div className="h-[158px] overflow-hidden border-2 border-[#6d8a89] bg-[#35575a]">
              {next.job.picture && (
                // biome-ignore lint/performance/noImgElement: the thumbnail is made once, at the size it is shown
                <img
                  src={pictureUrl(next.job.picture, true)}
                  alt={`${next.job.kind}, ${next.job.model}`}
                  className="h-full w-full object-cover"
                />
              )}
            </div>
            <div>
              <p className="text-[20px] text-[#d7ccb4]">Next for you</p>
              <h2 className="text-[34px]">
                {next.job.number}: {next.says}
              </h2>
              <p className="mt-1 text-[22px]">{next.job.next}</p>
              <p className="mt-1 line-clamp-2 text-[20px] text-[#d7ccb4]">“{next.job.complaint}”</p>
            </div>
            <div>
              <KeyLink
                href={`/jobs/${next.job.number}`}
                keyName=" "
                look="main"
                className="on-mat h-[70px] w-full justify-center"
              >
                Open it
              </KeyLink>
              <BackedUp {...backup} />
              {who && <SignedIn who={who} />}
            </div>
          </div>
        ) : (
          <div className="flex items-start justify-between px-5">
            <p className="text-[28px]">Nothing is waiting.</p>
            <div>
              <BackedUp {...backup} />
              {who && <SignedIn who={who} />}
            </div>
          </div>
        )}
      </section>
    </div>
  );
}

/** When the shop was last backed up, and the way there. */
function BackedUp({ says, late }: BoardView["backup"]) {
  return (
    <Way
      href="/backup"
      className={`mt-2 flex min-h-[48px] items-center justify-end gap-2 text-[19px] ${late ? "font-bold text-[#ecd094]" : "text-[#d7ccb4]"}`}
    >
      {late && <TriangleAlert size={22} aria-hidden="true" />}
      {says}
    </Way>
  );
}

/** What a shop that starts empty does first. */
function FirstSteps({ empty }: { empty: boolean }) {
  return (
    <section aria-label="First steps" className="max-w-[860px] py-6">
      <h2 className="text-[28px]">This shop is new here</h2>
      <ol className="list-decimal py-2 pl-8 text-[22px] leading-[1.5]">
        <li>
          <b>The shop</b>: its name and address, currency and charges. They stand on every quote and sheet.
        </li>
        <li>
          <b>Shelf of lubricants</b>: what stands there, with its data sheet. Lube chooses among these and no
          others.
        </li>
        <li>
          <b>Catalogue</b>: parts and offers, typed or as a table. A job can begin without.
        </li>
        {empty && (
          <li>
            <b>Take in</b> the first unit.
          </li>
        )}
      </ol>
      <KeyLink href="/settings" keyName=" " look="main" className="w-fit">
        Set the shop up
      </KeyLink>
    </section>
  );
}

/** What a line of the board shows, and nothing else: it travels to the browser. */
const rowOf = (j: BoardLine): BoardRowJob => ({
  number: j.number,
  kind: j.kind,
  whose: [`${j.maker} ${j.model}`.trim(), j.customerName].filter(Boolean).join(" · "),
  stage: j.stage,
  next: j.next,
  ...(j.damaged ? { damaged: true } : {}),
  ...(j.promised ? { promised: j.promised } : {}),
  ...(j.handedBackAt ? { handedBackAt: j.handedBackAt } : {}),
});
