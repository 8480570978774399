import type { z } from "zod";

/**
 * The one error of the core: input that cannot be worked with. `path` names the place it came in
 * (`steps[3].needs[0]`, empty for the whole), `says` is a sentence for the person who typed it. The same
 * sentence
 * reaches the form, the command line and the log.
 */
export class Fault extends Error {
  readonly path: string;
  readonly says: string;

  constructor(path: string, says: string) {
    super(path ? `${path}: ${says}` : says);
    this.name = "Fault";
    this.path = path;
    this.says = says;
  }
}

/** `["steps", 3, "needs"]` as people write it: `steps[3].needs`. */
export function pathInWords(path: readonly PropertyKey[]): string {
  let out = "";
  for (const key of path) out += typeof key === "number" ? `[${key}]` : out ? `.${String(key)}` : String(key);
  return out;
}

/**
 * Input read against a schema. Throws a {@link Fault} that names the first place that does not fit.
 *
 * @example readWith(z.object({ qty: z.int().min(1) }), { qty: 0 }) // throws Fault "qty: Too small: …"
 */
export function readWith<T>(schema: z.ZodType<T>, input: unknown, at = ""): T {
  const read = schema.safeParse(input);
  if (read.success) return read.data;
  const issue = deepest(read.error.issues[0] as z.core.$ZodIssue);
  const here = pathInWords(issue.path);
  throw new Fault([at, here].filter(Boolean).join("."), sentenceFor(issue));
}

/** In a union the useful complaint is the one that got furthest into the input. */
function deepest(issue: z.core.$ZodIssue): z.core.$ZodIssue {
  if (issue.code !== "invalid_union") return issue;
  const inner = issue.errors.flat().map((e) => deepest({ ...e, path: [...issue.path, ...e.path] }));
  return inner.sort((a, b) => b.path.length - a.path.length)[0] ?? issue;
}

/** What was expected, in words. */
const KINDS: Readonly<Record<string, string>> = {
  number: "a number",
  int: "a whole number",
  string: "text",
  boolean: "yes or no",
  array: "a list",
  object: "a record with named fields",
  record: "a record with named fields",
};
/** The schema's own words, which belong to programs; whoever gave a schema a sentence is heard instead. */
const DEFAULTS = /^(Invalid|Too (small|big))\b/;

function sentenceFor(issue: z.core.$ZodIssue): string {
  if (issue.code === "unrecognized_keys")
    return `does not know the key ${issue.keys.map((k) => `"${k}"`).join(", ")}`;
  if (!DEFAULTS.test(issue.message)) return issue.message.charAt(0).toLowerCase() + issue.message.slice(1);
  if (issue.code === "invalid_type")
    return /received undefined/.test(issue.message)
      ? "is missing"
      : `must be ${KINDS[issue.expected] ?? "something else"}`;
  if (issue.code === "invalid_value") return `is none of: ${issue.values.map(String).join(", ")}`;
  if (issue.code === "too_small")
    return limited(issue.origin, issue.minimum, issue.inclusive === false ? "above" : "at least");
  if (issue.code === "too_big")
    return limited(issue.origin, issue.maximum, issue.inclusive === false ? "below" : "at most");
  if (issue.code === "invalid_format") return "is not written the way it must be";
  return "is not what belongs there";
}

function limited(of: string, limit: number | bigint, how: string): string {
  if (of === "string") return `must have ${how} ${limit} characters`;
  return of === "array" ? `must have ${how} ${limit} entries` : `must be ${how} ${limit}`;
}
