"use client";

import { KeyButton } from "@/ui/key-button";

/** Something that nobody foresaw. What was typed is still in the browser and in the shop. */
export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto flex max-w-[700px] flex-col gap-5 p-16">
      <h1 className="text-[44px]">This screen could not be shown.</h1>
      <p className="text-[22px]">What you typed is kept. Try again; if it comes back, restart the program on the shop’s computer.</p>
      <KeyButton keyName=" " look="main" onPress={reset}>
        Try again
      </KeyButton>
    </main>
  );
}
