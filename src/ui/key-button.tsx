"use client";

import { type ReactNode, useEffect, useRef } from "react";
import { letGo } from "./let-go";

/** How a key is printed on its cap. */
const CAPS: Readonly<Record<string, string>> = { " ": "Space", Escape: "Esc", ArrowLeft: "←", ArrowRight: "→" };

const typing = (t: EventTarget | null): boolean => t instanceof HTMLElement && (t.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(t.tagName));
const pressable = (t: EventTarget | null): boolean => t instanceof HTMLElement && /^(BUTTON|A|SUMMARY)$/.test(t.tagName);

/** Runs `press` when the key is struck anywhere on the screen, but not while something is being typed. */
export function useKey(key: string | undefined, press: () => void, enabled = true): void {
  const latest = useRef(press);
  latest.current = press;
  useEffect(() => {
    if (!key || !enabled) return;
    const struck = (e: KeyboardEvent): void => {
      if (e.defaultPrevented || e.repeat || e.ctrlKey || e.metaKey || e.altKey || typing(e.target)) return;
      if (e.key.toLowerCase() !== key.toLowerCase()) return;
      if ((e.key === " " || e.key === "Enter") && pressable(e.target)) return;
      e.preventDefault();
      latest.current();
    };
    window.addEventListener("keydown", struck);
    return () => window.removeEventListener("keydown", struck);
  }, [key, enabled]);
}

export const KeyCap = ({ of }: { of: string }) => <kbd className="cap">{CAPS[of] ?? (of.length === 1 ? of.toUpperCase() : of)}</kbd>;

export interface KeyButtonProps {
  children: ReactNode;
  keyName?: string;
  onPress: () => void;
  disabled?: boolean;
  pressed?: boolean;
  look?: "plain" | "main" | "warn";
  className?: string;
  label?: string;
}

/** A button that says what happens and shows its key. A click with the hand gives the focus back, so that the pedal's Space stays the main action's. */
export function KeyButton({ children, keyName, onPress, disabled, pressed, look = "plain", className = "", label }: KeyButtonProps) {
  useKey(keyName, onPress, !disabled);
  return (
    <button
      type="button"
      className={`key-button ${look} ${className}`}
      disabled={disabled}
      aria-pressed={pressed}
      aria-label={label}
      aria-keyshortcuts={keyName === " " ? "Space" : keyName}
      onClick={(e) => {
        letGo(e);
        onPress();
      }}
    >
      {keyName && <KeyCap of={keyName} />}
      <span>{children}</span>
    </button>
  );
}
