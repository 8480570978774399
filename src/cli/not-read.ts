import { z } from "zod";

const withCode = z.object({ code: z.string() });

/** The code of an error of the system, ENOENT; undefined: it has none. */
export const codeOf = (e: unknown): string | undefined => withCode.safeParse(e).data?.code;

/** Why a file that was named could not be read. */
export const whyNotRead = (e: unknown): string =>
  codeOf(e) === "ENOENT" ? "there is no such file" : "cannot be read";
