import { mayDo, type Role } from "@/core/door/role";
import { whoAsks } from "@/door/who";
import { type Device, pairedDevices } from "@/store/devices";
import { type DoorLine, lastDoorLines } from "@/store/door-log";
import { peopleOfShop } from "@/store/people";

export interface PeopleView {
  /** null: this is the owner's, and somebody else asked */
  readonly shown: {
    readonly people: readonly { readonly id: number; readonly name: string; readonly role: Role }[];
    readonly devices: readonly Device[];
    readonly log: readonly DoorLine[];
    /** where other devices reach the shop; null: it listens to this computer only */
    readonly address: string | null;
  } | null;
}

/** Who may come in, on which devices, and who did. */
export async function peopleView(): Promise<PeopleView> {
  if (!mayDo((await whoAsks()).role, "owner")) return { shown: null };
  const address = process.env.DEMONTAGE_ADDRESS;
  return {
    shown: {
      people: (await peopleOfShop()).map(({ id, name, role }) => ({ id, name, role })),
      devices: await pairedDevices(),
      log: await lastDoorLines(),
      address: address?.startsWith("https://") ? address : null,
    },
  };
}
