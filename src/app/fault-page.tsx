"use client";

import { useEffect, useState } from "react";
import { z } from "zod";
import { capital } from "@/core/sentence";
import { askShop, unreached } from "@/ui/ask-shop";
import { whenHere } from "@/ui/away/patient-fetch";
import { keepAsking } from "@/ui/away/shop-pulse";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";

const state = z.object({
  trouble: z.object({ says: z.string(), todo: z.string(), reading: z.boolean() }).nullable(),
});
type Told = NonNullable<z.infer<typeof state>["trouble"]>;

/** What the shop itself says is wrong, if it answers. */
function useTrouble(): Told | null {
  const [trouble, setTrouble] = useState<Told | null>(null);
  useEffect(() => {
    askShop("/api/state", state).then(
      (told) => setTrouble(told?.trouble ?? null),
      (e) =>
        unreached(e) &&
        setTrouble({
          says: "the shop’s computer does not answer",
          todo: "See whether it is on and the program runs there, and whether this screen is on the shop’s network.",
          reading: true,
        }),
    );
  }, []);
  return trouble;
}

/** A screen that could not be shown because the shop's computer went away under it comes back by itself. */
function useComeBack(error: Error): void {
  useEffect(() => {
    let shown = true;
    const end = keepAsking();
    void whenHere().then((wasAway) => {
      // not without end: public/awake.js counts
      if (shown && (wasAway || unreached(error))) window.dispatchEvent(new Event("load-again"));
    });
    return () => {
      shown = false;
      end();
    };
  }, [error]);
}

/** Something that nobody foresaw. What was typed is still in the browser and in the shop. */
export function FaultPage({ error }: { error: Error & { digest?: string } }) {
  const trouble = useTrouble();
  useComeBack(error);
  return (
    <main className="mx-auto flex max-w-[760px] flex-col gap-5 p-16">
      <h1 className="text-[44px]">
        {trouble?.reading === false ? "The shop cannot be opened." : "This screen could not be shown."}
      </h1>
      {trouble ? (
        <p className="text-[22px]">
          <b className="text-error first-letter:uppercase">{capital(trouble.says)}.</b> {trouble.todo} What
          you typed is kept.
        </p>
      ) : (
        <p className="text-[22px]">
          What you typed is kept, and the other screens work. Try again; if it comes back, restart the program
          on the shop’s computer
          {error.digest ? ` and tell whoever looks after it the mark ${error.digest}` : ""}.
        </p>
      )}
      <div className="flex gap-3">
        <KeyButton keyName=" " look="main" onPress={() => location.reload()}>
          Try again
        </KeyButton>
        <KeyLink keyName="Home" href="/">
          The board
        </KeyLink>
      </div>
    </main>
  );
}
