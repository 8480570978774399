"use client";

import { useEffect, useState } from "react";
import { listenTo } from "@/bench/sound-reader";
import type { Listened } from "@/core/sound/listen";
import type { TrainInput } from "@/core/train/train";

export interface Hearing {
  readonly listened: Listened | null;
  /** why it could not be listened to */
  readonly fault: string | null;
}
const NOTHING: Hearing = { listened: null, fault: null };

/** Fetches a recording and has it listened to beside the page. @param address null: there is none */
export function useListened(address: string | null, train: TrainInput | null): Hearing {
  const [hearing, setHearing] = useState<Hearing & { readonly of: string | null }>({ ...NOTHING, of: null });
  useEffect(() => {
    if (!address) return;
    let wanted = true;
    const tell = (h: Hearing): void => {
      if (wanted) setHearing({ ...h, of: address });
    };
    fetch(address)
      .then(async (answer) => {
        if (!answer.ok) throw new Error("The shop does not give this recording.");
        return listenTo(await answer.arrayBuffer(), train);
      })
      .then((listened) => tell({ listened, fault: null }))
      .catch((e: unknown) =>
        tell({
          listened: null,
          fault: e instanceof Error ? e.message : "The recording could not be fetched.",
        }),
      );
    return () => {
      wanted = false;
    };
  }, [address, train]);
  return address && hearing.of === address ? hearing : NOTHING;
}
