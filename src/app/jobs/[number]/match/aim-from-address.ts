import type { Job } from "@/core/job/job";
import type { BasketInput } from "@/core/match/basket/basket-input";

const AIMS: readonly BasketInput["aim"][] = ["least cost", "soonest", "soonest within limit"];

/** What is aimed at: as the address says, else as it was last. */
export const aimFrom = (asked: string | undefined, job: Pick<Job, "basketAim">): BasketInput["aim"] => AIMS.find((a) => a === asked) ?? job.basketAim;
