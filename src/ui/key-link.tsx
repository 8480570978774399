"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import type { ReactNode } from "react";
import { KeyCap, useKey } from "./key-button";

/** A way to another screen, with its key. */
export function KeyLink({
  children,
  keyName,
  href,
  look = "plain",
  className = "",
  current = false,
}: {
  children: ReactNode;
  keyName?: string;
  href: string;
  look?: "plain" | "main";
  className?: string;
  /** the screen that is shown */
  current?: boolean;
}) {
  const router = useRouter();
  useKey(keyName, () => router.push(href));
  return (
    <Link
      href={href}
      className={`key-button ${look} ${className}`}
      aria-keyshortcuts={keyName === " " ? "Space" : keyName}
      aria-current={current ? "page" : undefined}
    >
      {keyName && <KeyCap of={keyName} />}
      <span>{children}</span>
    </Link>
  );
}
