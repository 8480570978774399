import { gatesOf } from "@/core/gates/job-facts";
import { MESSAGES, type Message, messageOf } from "@/core/hand-back/messages";
import { loadDrafts } from "@/store/drafts";
import { type KeptMessage, messagesOf } from "@/store/messages";
import { shopSettings } from "@/store/settings";
import { dayAs } from "@/ui/day";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pageJob } from "../job-view/page-job";

export interface MessagesView {
  readonly frame: FrameView;
  /** one of each kind, filled with what is known now */
  readonly proposed: readonly Message[];
  readonly outbox: readonly KeptMessage[];
  readonly customer: string;
  readonly contact: string;
  /** what is still missing before it can be called ready; null: nothing */
  readonly notReady: string | null;
  readonly draft: unknown;
}

export async function messagesView(number: string): Promise<MessagesView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const { shopName, currency, warrantyMonths } = await shopSettings();
  return {
    frame: frameOf(job, "Messages", "to the customer"),
    proposed: MESSAGES.map(({ kind }) =>
      messageOf(kind, job, { name: shopName, currency, warrantyMonths }, (iso) => dayAs(iso, "d MMMM")),
    ),
    outbox: await messagesOf(job.id),
    customer: job.customerName,
    contact: job.customerContact,
    notReady: [...gatesOf(job, "rebuild"), ...gatesOf(job, "hand-back")][0]?.says ?? null,
    draft: (await loadDrafts(job.id)).message,
  };
}
