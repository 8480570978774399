"use client";

import { useState } from "react";
import { KeyButton, KeyCap } from "./key-button";
import { keysNow, setSingleKeys, singleKeysOn, useClose, useKey } from "./keys";

/** `?` lists every key that answers on this screen, and switches those of a single letter off and on. */
export function KeySheet() {
  const [keys, setKeys] = useState<ReturnType<typeof keysNow> | null>(null);
  useKey("?", () => setKeys(keys ? null : keysNow()), true, "Keys of this screen");
  if (!keys) return null;
  return <OpenKeySheet keys={keys} onClose={() => setKeys(null)} />;
}

function OpenKeySheet({ keys, onClose }: { keys: ReturnType<typeof keysNow>; onClose: () => void }) {
  const [on, setOn] = useState(singleKeysOn);
  useClose(onClose);
  return (
    <section
      role="dialog"
      aria-modal="true"
      aria-label="Keys of this screen"
      className="no-print fixed inset-0 z-50 flex flex-col gap-4 overflow-y-auto bg-base-100 p-6"
    >
      <div className="flex items-center gap-4">
        <h1 className="text-[34px]">Keys of this screen</h1>
        <KeyButton
          className="ml-auto"
          pressed={on}
          onPress={() => {
            setSingleKeys(!on);
            setOn(!on);
          }}
        >
          {on ? "✓ Single letters are keys" : "Single letters are off"}
        </KeyButton>
        <button type="button" className="key-button main" onClick={onClose} ref={(el) => el?.focus()}>
          <KeyCap of="Escape" />
          <span>Close</span>
        </button>
      </div>
      <ul className="grid grid-cols-3 gap-x-8 gap-y-1.5">
        {keys.map((k) => (
          <li
            key={k.key}
            className="grid grid-cols-[90px_1fr] items-center border-b-2 border-base-300 py-1 text-[20px]"
          >
            <span>
              <KeyCap of={k.key} />
            </span>
            <span className="first-letter:uppercase">{k.says}</span>
          </li>
        ))}
      </ul>
      <ul className="text-[20px]">
        <li>
          <b>Space</b> is the main action of every screen; a foot pedal that types Space will do.
        </li>
        <li>
          <b>Enter</b> leaves a field. <b>Esc</b> closes what is open: the field, then the sheet over the
          screen. It never leaves a job.
        </li>
        <li>While something is being typed, letters are letters.</li>
      </ul>
    </section>
  );
}
