"use client";

import { useRouter } from "next/navigation";
import { useEffect, useId, useRef, useState } from "react";
import { ROLES, type Role, roleSays, role as roleSchema } from "@/core/door/role";
import { whatFailed } from "@/ui/ask-shop";
import { dayAs } from "@/ui/day";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { PinField } from "../door/pin-field";
import type { FormAnswer } from "../forms/answered";
import { ShopHead } from "../shop-head";
import { makePairing, type Pairing, setPerson, takeDeviceOut, takePersonIn, takePersonOut } from "./actions";
import type { PeopleView } from "./people-view";

/**
 * Who works in the shop and what they may do, the devices of the local net that may come in, and who came.
 */
export function PeopleScreen({ shown }: PeopleView) {
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="People and devices" back={{ href: "/settings", says: "The shop" }} />
      {shown ? (
        <main className="grid grid-cols-2 gap-10 p-5">
          <People people={shown.people} />
          <div>
            <Devices devices={shown.devices} address={shown.address} />
            <Log lines={shown.log} />
          </div>
        </main>
      ) : (
        <p className="p-8 text-[24px]">This is for the owner.</p>
      )}
    </div>
  );
}
type Shown = NonNullable<PeopleView["shown"]>;

/** Does something, shows it, and keeps the sentence with which it was refused. */
function useDoing() {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const doing = async (work: () => Promise<FormAnswer>): Promise<boolean> => {
    const answer = await work().catch(
      (e): FormAnswer => ({ ok: false, field: "", says: whatFailed(e, "Not done", "Try again.") }),
    );
    setFault(answer.ok ? null : answer.says);
    if (answer.ok) router.refresh();
    return answer.ok;
  };
  return { fault, doing };
}

function People({ people }: Pick<Shown, "people">) {
  const { fault, doing } = useDoing();
  const [name, setName] = useState("");
  const [pin, setPin] = useState("");
  const [role, setRole] = useState<Role>(people.length ? "bench" : "owner");
  const ids = { name: useId(), pin: useId(), role: useId() };
  const add = async (): Promise<void> => {
    if (!(await doing(() => takePersonIn({ name, role, pin })))) return;
    setName("");
    setPin("");
  };
  return (
    <section aria-label="People">
      <h2 className="border-b-2 border-base-content text-[24px]">Who works here</h2>
      {people.length === 0 && (
        <p className="py-2 text-[20px]">
          Nobody yet. At this computer nothing is asked; on a tablet somebody must sign in.
        </p>
      )}
      <ul>
        {people.map((p) => (
          <PersonRow key={p.id} person={p} />
        ))}
      </ul>
      <h2 className="pt-6 text-[24px]">Another one</h2>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2 py-2">
        <div>
          <label htmlFor={ids.name} className="text-[20px] font-semibold">
            Name
          </label>
          <input
            id={ids.name}
            className="field"
            autoComplete="off"
            maxLength={60}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </div>
        <div>
          <label htmlFor={ids.pin} className="text-[20px] font-semibold">
            PIN, 4 to 8 figures
          </label>
          <PinField id={ids.pin} value={pin} onType={setPin} isNew />
        </div>
        <div className="col-span-2">
          <label htmlFor={ids.role} className="text-[20px] font-semibold">
            May do
          </label>
          <select
            id={ids.role}
            className="field"
            value={role}
            onChange={(e) => setRole(roleSchema.parse(e.target.value))}
          >
            {ROLES.map((r) => (
              <option key={r.role} value={r.role}>
                {r.says}
              </option>
            ))}
          </select>
          <p className="hush text-[18px] first-letter:uppercase">
            {ROLES.find((r) => r.role === role)?.may}.
          </p>
        </div>
      </div>
      <FaultLine says={fault} className="text-[20px]" />
      <KeyButton look="main" keyName="N" onPress={() => void add()}>
        Add them
      </KeyButton>
    </section>
  );
}

function PersonRow({ person }: { readonly person: Shown["people"][number] }) {
  const { fault, doing } = useDoing();
  const [pin, setPin] = useState<string | null>(null);
  const id = useId();
  const give = async (): Promise<void> => {
    if (await doing(() => setPerson({ id: person.id, pin: pin ?? "" }))) setPin(null);
  };
  return (
    <li className="border-b-2 border-base-300 py-2">
      <div className="flex items-center gap-3 text-[21px]">
        <b className="min-w-0 flex-1 truncate">{person.name}</b>
        <select
          aria-label={`What ${person.name} may do`}
          className="field !w-[170px]"
          value={person.role}
          onChange={(e) =>
            void doing(() => setPerson({ id: person.id, role: roleSchema.parse(e.target.value) }))
          }
        >
          {ROLES.map((r) => (
            <option key={r.role} value={r.role}>
              {roleSays(r.role)}
            </option>
          ))}
        </select>
        <button type="button" className="key-button" onClick={() => setPin(pin === null ? "" : null)}>
          New PIN
        </button>
        <button
          type="button"
          className="key-button warn"
          onClick={() => void doing(() => takePersonOut({ id: person.id }))}
        >
          Leaves
        </button>
      </div>
      {pin !== null && (
        <div className="flex items-end gap-3 pt-2">
          <label htmlFor={id} className="flex-1 text-[19px]">
            New PIN of {person.name}
            <PinField id={id} value={pin} onType={setPin} isNew />
          </label>
          <button type="button" className="key-button main" onClick={() => void give()}>
            Set it
          </button>
        </div>
      )}
      <FaultLine says={fault} />
    </li>
  );
}

function Devices({ devices, address }: Pick<Shown, "devices" | "address">) {
  const { fault, doing } = useDoing();
  const [pairing, setPairing] = useState<Pairing | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const router = useRouter();
  // until the device that the code is for is there
  const waiting = pairing !== null;
  useEffect(() => {
    if (!waiting) return;
    const timer = setInterval(() => router.refresh(), 3000);
    return () => clearInterval(timer);
  }, [waiting, router]);
  const count = useRef(devices.length);
  useEffect(() => {
    if (devices.length > count.current) setPairing(null);
    count.current = devices.length;
  }, [devices.length]);
  const pair = async (): Promise<void> => {
    setFailed(null);
    await makePairing().then(setPairing, (e) => setFailed(whatFailed(e, "No code was made", "Try again.")));
  };
  return (
    <section aria-label="Devices">
      <h2 className="border-b-2 border-base-content text-[24px]">Devices on the shop’s net</h2>
      {address === null && (
        <p className="py-2 text-[20px]">
          The shop listens to this computer only. To let tablets in, begin it with{" "}
          <span className="figures text-[17px]">npm start -- --host 0.0.0.0</span>
        </p>
      )}
      <ul>
        {devices.map((d) => (
          <li key={d.id} className="flex items-center gap-3 border-b-2 border-base-300 py-2 text-[20px]">
            <b className="min-w-0 flex-1 truncate">{d.name}</b>
            <span className="hush">last seen {dayAs(d.seenAt, "d MMM, HH:mm")}</span>
            <button
              type="button"
              className="key-button warn"
              onClick={() => void doing(() => takeDeviceOut({ id: d.id }))}
            >
              Let go
            </button>
          </li>
        ))}
      </ul>
      <FaultLine says={fault ?? failed} />
      <div className="flex items-start gap-5 py-3">
        <KeyButton keyName="P" onPress={() => void pair()}>
          Pair a device
        </KeyButton>
        {pairing && (
          <div role="status" aria-label="Pairing code" className="flex gap-4">
            {pairing.qr && (
              // biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by this program from the code beside it
              <div className="w-[150px] bg-white" dangerouslySetInnerHTML={{ __html: pairing.qr }} />
            )}
            <div>
              <p className="figures text-[34px] tracking-[0.12em]">
                {pairing.code.slice(0, 4)} {pairing.code.slice(4)}
              </p>
              <p className="text-[18px]">
                for one device, until {dayAs(pairing.until, "HH:mm")}
                {address && (
                  <>
                    , at <span className="figures text-[16px]">{address}/pair</span>
                  </>
                )}
              </p>
            </div>
          </div>
        )}
      </div>
    </section>
  );
}

function Log({ lines }: { readonly lines: Shown["log"] }) {
  return (
    <section aria-label="Who came">
      <h2 className="border-b-2 border-base-content text-[24px]">Who came, and who was not let in</h2>
      {lines.length === 0 && <p className="py-2 text-[20px]">Nobody came yet.</p>}
      <ul className="max-h-[34dvh] overflow-y-auto">
        {lines.map((l, i) => (
          <li key={i} className="grid grid-cols-[130px_1fr] border-b-2 border-base-300 py-1 text-[18px]">
            <time className="figures text-[16px]">{dayAs(l.at, "d MMM HH:mm")}</time>
            <span>
              {[l.who, l.what].filter(Boolean).join(" ")}
              <span className="hush"> {[l.device, l.address].filter(Boolean).join(", ")}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
