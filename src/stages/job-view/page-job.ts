import { cache } from "react";
import { currentJob } from "@/store/job";

/**
 * The job that a page shows. Its layout asks whether it is there, its view for all of it: it is looked up
 * once. Not for actions, which need what stands there at that moment.
 */
export const pageJob = cache((number: string) => currentJob(number));
