"use client";

import { z } from "zod";
import { MESSAGES, type MessageKind } from "@/core/hand-back/messages";
import { dayAs } from "@/ui/day";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { tellCustomer } from "./actions";
import type { MessagesView } from "./messages-view";

const KEYS: Readonly<Record<MessageKind, string>> = { "taken-in": "I", quote: "Q", delay: "D", ready: "R" };
const draftSchema = z.object({
  kind: z.enum(MESSAGES.map((m) => m.kind)).optional(),
  subject: z.string().optional(),
  text: z.string().optional(),
});
type Draft = z.infer<typeof draftSchema>;
const NOTHING: Draft = {};

/**
 * A message to the customer: proposed from the job's facts, changed by hand, put into the outbox; from there
 * it is copied, or taken as a mail file.
 */
export function MessagesScreen({
  proposed,
  outbox,
  customer,
  contact,
  notReady,
  draft,
}: Omit<MessagesView, "frame">) {
  const { run, number } = useJob();
  const fault = useFieldFault();
  const [written, setWritten] = useDraft<Draft>("message", draft, draftSchema, NOTHING);
  const base = proposed.find((m) => m.kind === written.kind);
  const subject = written.subject ?? base?.subject ?? "";
  const text = written.text ?? base?.text ?? "";
  const put = async (): Promise<void> => {
    if (written.kind && fault.took(await run(tellCustomer, { kind: written.kind, subject, text })))
      setWritten(NOTHING);
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-6">
      <section aria-label="Message" className="flex min-h-0 flex-col gap-3">
        <div className="flex flex-wrap gap-2">
          {MESSAGES.map((m) => (
            <KeyButton
              key={m.kind}
              keyName={KEYS[m.kind]}
              className="small"
              pressed={written.kind === m.kind}
              onPress={() => setWritten({ kind: m.kind })}
            >
              {m.says}
            </KeyButton>
          ))}
        </div>
        {base ? (
          <>
            <p className="text-[19px]">
              To <b>{customer || "the customer"}</b>
              {contact && `, ${contact}`}
            </p>
            {written.kind === "ready" && notReady && (
              <p className="says danger">It is not ready yet: {notReady}</p>
            )}
            <label className="words">
              Subject
              <input
                className="field"
                value={subject}
                maxLength={200}
                onChange={(e) => setWritten({ ...written, subject: e.target.value })}
              />
            </label>
            <label className="words flex min-h-0 flex-1 flex-col">
              Text
              <textarea
                className="field min-h-[120px] flex-1 !text-[20px] leading-snug"
                value={text}
                maxLength={5000}
                onChange={(e) => setWritten({ ...written, text: e.target.value })}
              />
            </label>
            <FaultLine says={fault.elsewhere()} />
            <div className="flex gap-2">
              <KeyButton keyName=" " look="main" onPress={() => void put()}>
                Put it in the outbox
              </KeyButton>
              <KeyButton onPress={() => setWritten({ kind: base.kind })}>As proposed</KeyButton>
            </div>
          </>
        ) : (
          <p className="text-[24px]">
            Choose what is to be told. It is filled with what this job knows, and can be changed before it
            goes.
          </p>
        )}
      </section>
      <section aria-label="Outbox" className="flex min-h-0 flex-col gap-2">
        <h2 className="text-[24px]">Outbox</h2>
        <p className="hush text-[18px]">
          Nothing is sent from here: read it out, copy it, or open its mail file in a mail program.
        </p>
        {outbox.length === 0 && <p className="text-[20px]">Nothing was told yet.</p>}
        <ul className="min-h-0 overflow-y-auto">
          {outbox.map((m) => (
            <li key={m.id} className="border-b-2 border-base-300 py-2 text-[19px]">
              <p className="flex items-baseline gap-3">
                <b className="flex-1">{m.subject}</b>
                <span className="figures text-[16px]">{dayAs(m.at, "d MMM HH:mm")}</span>
              </p>
              <p className="text-[18px] whitespace-pre-line">{m.text}</p>
              <a className="key-button small mt-1" href={`/api/jobs/${number}/messages/${m.id}`} download>
                Mail file
              </a>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
