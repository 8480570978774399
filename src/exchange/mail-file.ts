import MailComposer from "nodemailer/lib/mail-composer";

/** A message as a mail file (RFC 5322), which a mail program opens as a draft. Nothing is sent. */
export function mailFile({
  from,
  to,
  subject,
  text,
  at,
}: {
  readonly from: string;
  /** none: it is filled in by whoever sends it */
  readonly to?: { readonly name: string; readonly address: string } | undefined;
  readonly subject: string;
  readonly text: string;
  readonly at: Date;
}): Promise<Buffer> {
  return new MailComposer({
    // the mail program puts the shop's own address in its place
    from: { name: from, address: "shop@invalid" },
    ...(to ? { to } : {}),
    subject,
    text,
    date: at,
    headers: { "X-Unsent": "1" },
    textEncoding: "quoted-printable",
  })
    .compile()
    .build();
}
