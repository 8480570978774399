"use client";

import { useEffect, useState } from "react";
import { z } from "zod";
import type { Cells } from "@/core/table/cells";
import { forgetInBrowser, jsonFrom, keepInBrowser, keptInBrowser } from "@/ui/browser-store";

const typedCells = z.record(z.string(), z.string());

/**
 * What is typed into a form, kept in the browser until it is saved: a reload, or another row looked at
 * meanwhile, loses nothing.
 *
 * @param name of the form and its row
 * @param saved what stands in the shop
 */
export function useForm(name: string, saved: Cells) {
  const key = `form:${name}`;
  const [typed, setTyped] = useState<Cells>({});
  useEffect(() => setTyped(typedCells.safeParse(jsonFrom(keptInBrowser(key))).data ?? {}), [key]);
  const put = (column: string, text: string): void => {
    const { [column]: _, ...rest } = typed;
    const next = text === (saved[column] ?? "") ? rest : { ...rest, [column]: text };
    setTyped(next);
    if (Object.keys(next).length) keepInBrowser(key, JSON.stringify(next));
    else forgetInBrowser(key);
  };
  const forget = (): void => {
    setTyped({});
    forgetInBrowser(key);
  };
  return { cells: { ...saved, ...typed }, changed: Object.keys(typed).length > 0, put, forget };
}
