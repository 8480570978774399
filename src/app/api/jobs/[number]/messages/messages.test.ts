import { expect, it, vi } from "vitest";
import { MESSAGES, mailIn, messageOf } from "@/core/hand-back/messages";
import { tellCustomer } from "@/stages/messages/actions";
import { messagesView } from "@/stages/messages/messages-view";
import { jobHistory } from "@/store/change";
import { forgetInJob } from "@/store/forget";
import { createJob, jobVersion } from "@/store/jobs";
import { job, testShop } from "@/store/test-shop";
import { GET } from "./[id]/route";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));

testShop();

const SHOP = { name: "The bench", currency: "€", warrantyMonths: 6 };
const day = (iso: string): string => iso.slice(0, 10);

it("a message says what the job knows, and nothing that it does not", async () => {
  const bare = await job(await createJob({}));
  for (const { kind } of MESSAGES) {
    const { subject, text } = messageOf(kind, bare, SHOP, day);
    expect(`${subject}\n${text}`).not.toMatch(/undefined|null|NaN|“”|: \.| {2}/);
    expect(text).toMatch(/^Dear customer,\n\n[\s\S]*\n\nThe bench$/);
  }
  const full = await job(
    await createJob({
      kind: "flour mill",
      maker: "Velbrant",
      model: "Mola",
      customerName: "Dora Finch",
      complaint: "grinds",
      looseItems: ["hopper", "lid"],
      promised: "2026-12-04",
      priceLimit: 90,
      waiting: { what: "the crown wheel", since: "2026-12-01T08:00:00.000Z", until: "2026-12-09" },
    }),
  );
  expect(messageOf("taken-in", full, SHOP, day).text).toContain(
    "With it came: hopper, lid.\nWe mean to have it ready by 2026-12-04.\nWe ask you before it costs more than 90.00 €.",
  );
  expect(messageOf("delay", full, SHOP, day).text).toContain(
    "It waits for the crown wheel.\nWe look at it again on 2026-12-09.",
  );
  expect(messageOf("ready", full, SHOP, day).text).toContain("We warrant our work for 6 months");
  expect(messageOf("ready", { ...full, warrantyOf: "J-0001" }, SHOP, day).text).toContain("nothing is due");
});

it("it goes into the outbox as it was written, is a mail file from there, and is gone with a customer who is forgotten", async () => {
  const number = await createJob({
    kind: "flour mill",
    customerName: "Zoë Łukasz",
    customerContact: "tel. 0555 01, zoe@finch.invalid",
  });
  const version = async (): Promise<number> => (await jobVersion(number)) ?? 0;
  expect(
    await tellCustomer({ number, version: await version(), kind: "ready", subject: "", text: "x" }),
  ).toMatchObject({
    ok: false,
    says: expect.stringContaining("subject"),
  });
  expect(
    await tellCustomer({
      number,
      version: await version(),
      kind: "ready",
      subject: "Fertig – your mill",
      text: "Dear Zoë,\n\nit is ready: 20 €.",
    }),
  ).toMatchObject({ ok: true });
  // what is called ready while something is open is said to be open
  expect((await messagesView(number))?.notReady).toBeTruthy();
  const [kept] = (await messagesView(number))?.outbox ?? [];
  expect(kept).toMatchObject({
    subject: "Fertig – your mill",
    receiver: "Zoë Łukasz, tel. 0555 01, zoe@finch.invalid",
  });
  expect((await jobHistory(number))[0]?.what).toBe("told the customer: it is ready");
  const ask = (id: string, of = number) =>
    GET(new Request("http://x/"), { params: Promise.resolve({ number: of, id }) });
  const mail = await (await ask(String(kept?.id))).text();
  expect(mail).toMatch(/^To: .*<zoe@finch\.invalid>/m);
  expect(mail).toMatch(/^X-Unsent: 1/m);
  expect(mail).toMatch(/^Subject: =\?UTF-8\?/m);
  expect(mail).toContain("it is ready: 20 =E2=82=AC.");
  // a line break in a name is no new header
  expect(mail.split("\r\n\r\n")[0]).not.toContain("\nBcc:");
  expect((await ask("999")).status).toBe(404);
  expect((await ask(String(kept?.id), "J-9999")).status).toBe(404);
  await forgetInJob(number);
  expect((await messagesView(number))?.outbox).toEqual([]);
});

it("a mail address is found in what was written down as a contact, where there is one", () => {
  expect(mailIn("tel. 0555 01, dora@finch.invalid")).toBe("dora@finch.invalid");
  expect(mailIn("<dora.f@finch.co.invalid>;")).toBe("dora.f@finch.co.invalid");
  expect(mailIn("at the counter")).toBeUndefined();
});
