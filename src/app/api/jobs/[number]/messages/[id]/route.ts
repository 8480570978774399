import { mailIn } from "@/core/hand-back/messages";
import { mailFile } from "@/exchange/mail-file";
import { loadHead } from "@/store/job";
import { messageOfJob } from "@/store/messages";
import { shopSettings } from "@/store/settings";

/** A message of the outbox as a mail file. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ number: string; id: string }> },
): Promise<Response> {
  const { number, id } = await params;
  const message = /^\d{1,15}$/.test(id) ? await messageOfJob(number, Number(id)) : null;
  const job = message && (await loadHead(number));
  if (!message || !job) return Response.json({ says: "There is no such message." }, { status: 404 });
  const address = mailIn(message.receiver);
  const mail = await mailFile({
    from: (await shopSettings()).shopName,
    to: address ? { name: job.customerName, address } : undefined,
    subject: message.subject,
    text: message.text,
    at: new Date(message.at),
  });
  return new Response(new Uint8Array(mail), {
    headers: {
      "content-type": "message/rfc822",
      "content-disposition": `attachment; filename="${number}-${message.kind}.eml"`,
      "x-content-type-options": "nosniff",
    },
  });
}
