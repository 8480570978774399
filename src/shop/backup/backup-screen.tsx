"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { z } from "zod";
import { sentence } from "@/core/sentence";
import { whatFailed } from "@/ui/ask-shop";
import { dayAs } from "@/ui/day";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { toldLine } from "../parts/import-report";
import { Refused, told } from "../parts/told-answer";
import { FieldRow } from "../settings/field-row";
import { BACKUP_FIELDS } from "../settings/shop-fields";
import { ShopHead } from "../shop-head";
import type { BackupView } from "./backup-view";

const doneLine = toldLine(z.object({ folder: z.string() }));

/** The shop's back-ups: the last good one, a new one at a press, where they lie and how one is put back. */
export function BackupScreen({ folder, data, sameDisk, values, last, backups }: BackupView) {
  const { now, busy, fault } = useBackUp();
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="Back-up" back={{ href: "/settings", says: "The shop" }} />
      <main className="grid grid-cols-2 gap-10 p-5">
        <section aria-label="Now and every night">
          <p className="text-[26px]" role="status" aria-label="Last good back-up">
            {last?.goodAt
              ? `Last good back-up: ${dayAs(last.goodAt, "EEEE d MMMM, HH:mm")}`
              : "The shop was never backed up."}
          </p>
          {last?.failed && (
            <FaultLine
              says={`The try of ${dayAs(last.failed.at, "d MMMM, HH:mm")} failed. ${sentence(last.failed.says)}`}
              className="text-[20px]"
            />
          )}
          <div className="flex items-center gap-4 py-4">
            <KeyButton keyName=" " look="main" onPress={() => void now()} disabled={busy !== null}>
              Back up now
            </KeyButton>
            {busy && <span className="text-[20px]">{busy}</span>}
          </div>
          <FaultLine says={fault} className="text-[20px]" />
          {BACKUP_FIELDS.map((f) => (
            <FieldRow key={f.key} field={f} value={values[f.key as keyof typeof values]} unit="" />
          ))}
          <p className={`pt-2 text-[19px] ${sameDisk ? "font-semibold text-error" : "hush"}`}>
            They lie in <span className="figures">{folder}</span>
            {sameDisk &&
              ", on the disk that the shop itself is on: that helps against a slip, not against a broken disk"}
            .
          </p>
        </section>
        <section aria-label="Back-ups">
          <h2 className="border-b-2 border-base-content text-[24px]">What there is</h2>
          {backups.length === 0 && <p className="py-2 text-[20px]">No back-up lies there.</p>}
          <ul className="max-h-[46dvh] overflow-y-auto">
            {backups.map((b) => (
              <li
                key={b.name}
                className="flex items-baseline gap-4 border-b-2 border-base-300 py-2 text-[20px]"
              >
                <b className="w-[250px]">{dayAs(b.at, "EEE d MMM yyyy, HH:mm")}</b>
                <span>
                  {b.jobs} jobs, {b.pictures} pictures{b.missing ? `, ${b.missing} were gone already` : ""}
                </span>
              </li>
            ))}
          </ul>
          <h2 className="pt-5 text-[24px]">To put one back</h2>
          <p className="text-[20px]">Stop the program; then, in its folder on the shop’s computer:</p>
          <p className="figures my-1 border-2 border-base-300 p-2 text-[17px] break-all">
            DEMONTAGE_DATA={data} npm run -s cli -- restore{" "}
            {backups[0] ? `${folder}/${backups[0].name}` : folder}
          </p>
          <p className="hush text-[19px]">
            It is read and compared first. What was there is moved aside, and never thrown away. Every back-up
            was read again when it was made.
          </p>
        </section>
      </main>
    </div>
  );
}

function useBackUp() {
  const router = useRouter();
  const [busy, setBusy] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const now = async (): Promise<void> => {
    setFault(null);
    setBusy("Copying the database …");
    try {
      await told(await fetch("/api/backup", { method: "POST" }), doneLine, (pictures) =>
        setBusy(`${pictures} pictures …`),
      );
    } catch (e) {
      setFault(
        e instanceof Refused
          ? sentence(e.message)
          : whatFailed(e, "It is not known whether it was backed up", "Look at the list."),
      );
    }
    setBusy(null);
    router.refresh();
  };
  return { now, busy, fault };
}
