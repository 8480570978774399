"use client";

import { useEffect, useState } from "react";

/** How much of a long list is drawn: its beginning with the page, the rest in the frame after. */
export function useRestLater(count: number, first = 16): number {
  const [all, setAll] = useState(false);
  useEffect(() => setAll(true), []);
  return all ? count : Math.min(count, first);
}
