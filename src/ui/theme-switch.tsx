"use client";

import { useState } from "react";
import { KeyButton } from "./key-button";

/** Paper by day, oilcloth by night; kept in a cookie for a year. */
export function ThemeSwitch() {
  const [theme, setTheme] = useState<string>();
  const turn = (): void => {
    const next = (theme ?? document.documentElement.dataset.theme) === "night" ? "day" : "night";
    document.documentElement.dataset.theme = next;
    // biome-ignore lint/suspicious/noDocumentCookie: the cookie store interface is not in every browser of a workshop yet
    document.cookie = `theme=${next};path=/;max-age=31536000;samesite=lax`;
    setTheme(next);
  };
  return (
    <KeyButton keyName="T" onPress={turn} label="Day or night">
      Day / night
    </KeyButton>
  );
}
