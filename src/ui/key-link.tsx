"use client";

import { useRouter } from "next/navigation";
import { type ReactNode, useRef } from "react";
import { KeyCap, keyShortcut } from "./key-button";
import { useKey } from "./keys";
import { Way } from "./way";

/** A way to another screen, with its key. */
export function KeyLink({
  children,
  keyName,
  href,
  look = "plain",
  className = "",
  current = false,
  label,
}: {
  children: ReactNode;
  keyName?: string;
  href: string;
  look?: "plain" | "main";
  className?: string;
  /** the screen that is shown */
  current?: boolean;
  /** what it does, where its words are short */
  label?: string;
}) {
  const router = useRouter();
  const words = useRef<HTMLSpanElement>(null);
  useKey(
    keyName,
    () => router.push(href),
    true,
    () => label ?? words.current?.textContent ?? "",
  );
  return (
    <Way
      href={href}
      className={`key-button ${look} ${className}`}
      aria-keyshortcuts={keyShortcut(keyName)}
      aria-label={label}
      aria-current={current ? "page" : undefined}
    >
      {keyName && <KeyCap of={keyName} />}
      <span ref={words}>{children}</span>
    </Way>
  );
}
