"use client";

import { useMemo } from "react";
import type { BasketInput } from "@/core/match/basket/basket-input";
import { type BasketSearch, useBasketSearch } from "./basket-search";
import {
  type BasketGround,
  basketQuestion,
  foundWithoutSearch,
  type JobBasket,
  jobBasketFrom,
} from "./job-basket";

/** A job's basket, as soon as it is found; and how the search stands. */
export function useJobBasket(
  ground: BasketGround | null,
  aim: BasketInput["aim"],
): { search: BasketSearch | null; basket: JobBasket | null } {
  const question = useMemo(() => ground && basketQuestion(ground, aim), [ground, aim]);
  const search = useBasketSearch(question);
  const found = search?.state === "found" ? search.found : ground && foundWithoutSearch(ground);
  const basket = useMemo(() => ground && found && jobBasketFrom(ground, aim, found), [ground, aim, found]);
  return { search, basket };
}
