"use client";

import type { ReactNode } from "react";
import { KeyButton } from "./key-button";

/**
 * One of many that stand close together, three in a row: large enough for a glove, small enough for all to be
 * seen.
 */
export function SmallChoice({
  children,
  label,
  pressed,
  onPress,
}: {
  children: ReactNode;
  label?: string;
  pressed: boolean;
  onPress: () => void;
}) {
  return (
    <KeyButton
      className="!min-h-[48px] justify-center min-w-[64px] !px-1 !py-0.5 text-center !text-[17px]"
      label={label}
      pressed={pressed}
      onPress={onPress}
    >
      {children}
    </KeyButton>
  );
}
