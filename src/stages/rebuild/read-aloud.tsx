"use client";

import { useEffect, useState, useSyncExternalStore } from "react";
import { keepInBrowser, keptInBrowser } from "@/ui/browser-store";
import { KeyButton } from "@/ui/key-button";

const KEY = "rebuild.aloud";

const listens = (changed: () => void): (() => void) => {
  if (!("speechSynthesis" in window)) return () => {};
  window.speechSynthesis.addEventListener("voiceschanged", changed);
  return () => window.speechSynthesis.removeEventListener("voiceschanged", changed);
};
/**
 * A voice that this computer has itself: one from the network would be silent in a shop without it, and hears
 * what is said.
 */
const ownVoice = (): SpeechSynthesisVoice | undefined => {
  if (!("speechSynthesis" in window)) return undefined;
  const own = window.speechSynthesis.getVoices().filter((v) => v.localService);
  return own.find((v) => v.lang.startsWith("en")) ?? own[0];
};

/**
 * Reads each line aloud as it comes, for hands that are full. Where the browser has no voice of its own there
 * is nothing to press.
 */
export function ReadAloud({ text }: { text: string }) {
  const canSpeak = useSyncExternalStore(listens, () => ownVoice() !== undefined, () => false); // biome-ignore format: three small functions
  const [on, setOn] = useState(() => typeof window !== "undefined" && keptInBrowser(KEY) === "yes");
  const speaks = canSpeak && on;
  useEffect(() => {
    if (!speaks) return;
    const saying = new SpeechSynthesisUtterance(text);
    const voice = ownVoice();
    if (voice) saying.voice = voice;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(saying);
    return () => window.speechSynthesis.cancel();
  }, [speaks, text]);
  if (!canSpeak) return null;
  return (
    <KeyButton
      keyName="V"
      className="small"
      pressed={on}
      onPress={() => {
        keepInBrowser(KEY, on ? "no" : "yes");
        setOn(!on);
      }}
    >
      Read aloud
    </KeyButton>
  );
}
