/**
 * What can be wrong with the disk, the folder or the database of a shop, so that work cannot go on as usual.
 */
export interface Trouble {
  readonly kind: "gone" | "damaged" | "full" | "read-only" | "disk" | "busy" | "second" | "settings";
  /** what it is, as a sentence without its full stop */
  readonly says: string;
  readonly todo: string;
  /** what is there can still be looked at */
  readonly reading: boolean;
}

/** The shop cannot be opened, or not be written to. */
export class ShopTrouble extends Error {
  readonly trouble: Trouble;
  constructor(trouble: Trouble) {
    super(trouble.says);
    this.name = "ShopTrouble";
    this.trouble = trouble;
  }
}

const RESTORE =
  "Stop the program and put the last good back-up back: npm run -s cli -- restore, with the folder of the back-up.";

export const TROUBLES = {
  gone: (what: string): Trouble => ({
    kind: "gone",
    says: `${what}. No new shop is begun where one was`,
    todo: `Nothing was changed. If the folder is the right one: ${RESTORE}`,
    reading: false,
  }),
  damaged: (what: string): Trouble => ({
    kind: "damaged",
    says: `the shop’s database is damaged (${what}). Nothing can be saved until it is mended`,
    todo: `What can still be read is shown. ${RESTORE}`,
    reading: true,
  }),
  full: {
    kind: "full",
    says: "the disk of the shop’s computer is full",
    todo: "Make room on it: old back-ups, downloads, the bin. What was saved is safe; everything can be looked at.",
    reading: true,
  },
  readOnly: {
    kind: "read-only",
    says: "the shop’s folder cannot be written to",
    todo: "Everything can be looked at, nothing saved. Whoever looks after the computer should see whose folder it is, and whether its disk was set to read-only after a fault.",
    reading: true,
  },
  disk: {
    kind: "disk",
    says: "the disk of the shop’s computer answers with errors",
    todo: "Make a back-up to another disk now (The shop, Back-up), then have the disk looked at.",
    reading: true,
  },
  busy: {
    kind: "busy",
    says: "another program holds the shop’s database",
    todo: "Try again; if it stays so, end the other program (a copy job, a database viewer).",
    reading: true,
  },
  settings: (what: readonly string[]): Trouble => ({
    kind: "settings",
    says: `what was set for the shop could not be read: ${what.join(", ")}`,
    todo: "That stands as in a new shop. Look at The shop, set it again, and say there that it is right.",
    reading: true,
  }),
  second: (where: string): Trouble => ({
    kind: "second",
    says: `this folder is served already${where}`,
    todo: "Use that one, or stop it first. Two programs at one folder would each show what the other has changed a moment ago.",
    reading: false,
  }),
} as const;

const CODES: readonly (readonly [RegExp, Trouble])[] = [
  [/^(SQLITE_FULL|ENOSPC|EDQUOT)/, TROUBLES.full],
  [/^(SQLITE_READONLY|EROFS|EACCES|EPERM)/, TROUBLES.readOnly],
  [/^(SQLITE_CORRUPT|SQLITE_NOTADB)/, TROUBLES.damaged("a page of it is not what it should be")],
  [/^(SQLITE_IOERR|EIO)/, TROUBLES.disk],
  [/^SQLITE_(BUSY|LOCKED)/, TROUBLES.busy],
];

/** What an error of the disk or the database comes to; null: it is of another kind. */
export function troubleIn(e: unknown): Trouble | null {
  if (e instanceof ShopTrouble) return e.trouble;
  const code = typeof e === "object" && e !== null && "code" in e ? String(e.code) : "";
  return CODES.find(([of]) => of.test(code))?.[1] ?? null;
}

/** What did not happen, why, and what to do: for whoever pressed. */
export const notDone = (not: string, { says, todo }: Trouble): string => `${not}: ${says}. ${todo}`;
