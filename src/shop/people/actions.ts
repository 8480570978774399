"use server";

import QRCode from "qrcode";
import { z } from "zod";
import { role } from "@/core/door/role";
import { readWith } from "@/core/fault";
import { asWhoMay } from "@/door/who";
import { letDeviceGo, newPairing } from "@/store/devices";
import { logDoor } from "@/store/door-log";
import { addPerson, changePerson, personLeaves } from "@/store/people";
import { answered, type FormAnswer } from "../forms/answered";

const newcomer = z.strictObject({ name: z.string().max(80), role, pin: z.string().max(20) });
/** Takes somebody into the shop. */
export async function takePersonIn(raw: z.infer<typeof newcomer>): Promise<FormAnswer> {
  return answered("owner", async () => {
    const said = readWith(newcomer, raw);
    const id = await addPerson(said);
    await logDoor({ what: `works here from now on, as ${said.role}`, who: said.name.trim() });
    return String(id);
  });
}

const change = z.strictObject({ id: z.int(), role: role.optional(), pin: z.string().max(20).optional() });
/** Changes what somebody may do, or gives them another PIN. */
export async function setPerson(raw: z.infer<typeof change>): Promise<FormAnswer> {
  return answered("owner", async () => {
    const { id, ...said } = readWith(change, raw);
    await changePerson(id, said);
    return String(id);
  });
}

const one = z.strictObject({ id: z.int() });
export async function takePersonOut(raw: z.infer<typeof one>): Promise<FormAnswer> {
  return answered("owner", async () => {
    const { id } = readWith(one, raw);
    await personLeaves(id);
    await logDoor({ what: `somebody left the shop (number ${id})` });
    return String(id);
  });
}

export async function takeDeviceOut(raw: z.infer<typeof one>): Promise<FormAnswer> {
  return answered("owner", async () => {
    const { id } = readWith(one, raw);
    await letDeviceGo(id);
    await logDoor({ what: `a device was let go (number ${id})` });
    return String(id);
  });
}

export interface Pairing {
  readonly code: string;
  readonly until: string;
  /** the QR code of the address that pairs by itself, as SVG; null: other devices do not reach this shop */
  readonly qr: string | null;
}

/** A code by which one device is paired; for the shop's own screen. */
export async function makePairing(): Promise<Pairing> {
  return asWhoMay("owner", async () => {
    const { code, until } = await newPairing();
    const address = process.env.DEMONTAGE_ADDRESS;
    const qr = address?.startsWith("https://")
      ? await QRCode.toString(`${address}/pair?code=${code}`, { type: "svg", margin: 1 })
      : null;
    return { code, until, qr };
  });
}
