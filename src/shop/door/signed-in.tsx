"use client";

import { useState } from "react";
import { askDoor } from "./ask-door";

/** Who works at this device, on the oilcloth of the board, and the way out. */
export function SignedIn({ who }: { readonly who: string }) {
  const [fault, setFault] = useState<string | null>(null);
  const out = async (): Promise<void> => {
    const says = await askDoor("/api/door/sign-in", "DELETE");
    setFault(says);
    if (says === null) location.assign("/sign-in");
  };
  return (
    <div className="flex items-center justify-end gap-3 text-[19px] text-[#d7ccb4]">
      <span className="truncate">{fault ?? who}</span>
      <button type="button" className="min-h-[48px] px-2 font-bold underline" onClick={() => void out()}>
        Sign out
      </button>
    </div>
  );
}
