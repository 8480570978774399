"use client";

import { type ReactNode, useRef } from "react";
import { capOf, useKey } from "./keys";
import { letGo } from "./let-go";

export const KeyCap = ({ of }: { of: string }) => <kbd className="cap">{capOf(of)}</kbd>;

/** For assistive technology, which reads the key beside the words. */
export const keyShortcut = (keyName: string | undefined): string | undefined =>
  keyName === " " ? "Space" : keyName;

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

/**
 * A button that says what happens and shows its key. A click with the hand gives the focus back, so that the
 * pedal's Space stays the main action's.
 */
export function KeyButton({
  children,
  keyName,
  onPress,
  disabled,
  pressed,
  look = "plain",
  className = "",
  label,
}: KeyButtonProps) {
  const words = useRef<HTMLSpanElement>(null);
  useKey(keyName, onPress, !disabled, () => label ?? words.current?.textContent ?? "");
  return (
    <button
      type="button"
      className={`key-button ${look} ${className}`}
      disabled={disabled}
      aria-pressed={pressed}
      aria-label={label}
      aria-keyshortcuts={keyShortcut(keyName)}
      onClick={(e) => {
        letGo(e);
        onPress();
      }}
    >
      {keyName && <KeyCap of={keyName} />}
      <span ref={words}>{children}</span>
    </button>
  );
}
