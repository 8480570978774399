import { Fault } from "@/core/fault";
import { changeGoesIn, type GoesIn, type GoesInChange } from "@/core/job/goes-in";
import { type Got, gotInWords } from "@/core/job/got";
import { withKeysOf } from "@/core/job/keys";
import type { PieceRef } from "@/core/job/piece-ref";
import { goesInFrom, spokenOf } from "@/core/match/goes-in/goes-in-from";
import { partsNumbered } from "./catalogue";
import { type Change, changeJob } from "./change";
import { findingOf, nameOf, renewPart, writeFinding } from "./findings";
import type { Row } from "./rows";
import { records } from "./tables";

/**
 * What goes in under a number of the catalogue, as it is made up today; null: the catalogue does not know it.
 */
export async function madeUp(
  { trx }: Pick<Change, "trx">,
  number: string | null | undefined,
): Promise<GoesIn | null> {
  const [part] = number ? await partsNumbered([number], trx) : [];
  return part ? goesInFrom(part, await partsNumbered(spokenOf(part), trx)) : null;
}

/**
 * Chooses what replaces a part; null takes it back. A gear that comes with it belongs into its mate's place:
 * the mate goes back new then, with that one.
 *
 * @param mate the mate's part and the number that goes into its place; null: whatever was chosen for it this
 *   way is taken back
 */
export async function choosePart(
  number: string,
  version: number,
  part: string,
  chosen: string | null,
  mate?: { part: string; chosen: string | null },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    await findingOf(c, part);
    await writeFinding(c, part, {
      chosen,
      goesIn: await madeUp(c, chosen),
      ...(chosen ? { got: null } : {}),
    });
    await openCompanions(c, part);
    let and = "";
    if (mate) {
      await findingOf(c, mate.part);
      await openCompanions(c, mate.part);
      await writeFinding(c, mate.part, {
        chosen: mate.chosen,
        goesIn: await madeUp(c, mate.chosen),
        ...(mate.chosen ? { got: null } : {}),
      });
      if (mate.chosen) {
        await renewPart(c, mate.part, true);
        and = `; with it the ${await nameOf(c, mate.part)}: ${mate.chosen}`;
      }
    }
    return chosen
      ? `${await nameOf(c, part)}: replaced by ${chosen}${and}`
      : `${await nameOf(c, part)}: choice taken back`;
  });
}

/** Keeps the number that stands on a part. */
export async function setReadNumber(
  number: string,
  version: number,
  part: string,
  read: string,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    await findingOf(c, part);
    await writeFinding(c, part, { readNumber: read.trim() || null });
    return `${await nameOf(c, part)}: ${read.trim() ? `number ${read.trim()} read on it` : "number struck"}`;
  });
}

/**
 * Says where a part comes from that is not ordered; null: that is open again. What is said of what goes in
 * with it stays while its number does.
 */
export async function setGot(
  number: string,
  version: number,
  part: string,
  got: Got | null,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const was = await findingOf(c, part);
    const same = got && was.goesIn?.number === (got.number ?? "") ? was.goesIn : undefined;
    const goesIn =
      got && (same ?? (await madeUp(c, got.number)) ?? { ...NOTHING_SAID, number: got.number ?? "" });
    await writeFinding(c, part, { got, goesIn, ...(got ? { chosen: null } : {}) });
    if (!same) await openCompanions(c, part);
    return `${await nameOf(c, part)}: ${got ? gotInWords(got) : "where it comes from is open again"}`;
  });
}

/**
 * Another part is to go in: what was laid ready for the one before it was not laid ready for this one, though
 * it may be called the same.
 */
export async function openCompanions({ trx, job }: Change, part: string): Promise<void> {
  const begins = withKeysOf(part);
  await trx("lines_done")
    .where({ job_id: job.id })
    .whereRaw("substr(line, 1, ?) = ?", [begins.length, begins])
    .delete();
}
/** What goes in is made up as what came out: nothing was said of it. */
export const NOTHING_SAID: Omit<GoesIn, "number"> = {
  name: "",
  stack: [],
  with: [],
  leavesOut: [],
  notBeside: [],
  staysOut: [],
};

/**
 * Says something of what goes in in a part's place: what comes with it and from where, how it faces, what
 * stays out.
 */
export async function sayOfWhatGoesIn(
  number: string,
  version: number,
  part: string,
  said: GoesInChange,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { goesIn } = await findingOf(c, part);
    if (!goesIn)
      throw new Fault(
        "part",
        "has nothing that goes in in its place: choose it first, or say where it comes from",
      );
    if (said.what === "stays-out") await canStayOut(c, said.piece);
    await writeFinding(c, part, { goesIn: changeGoesIn(goesIn, said) });
    return `${await nameOf(c, part)}: ${saidInWords(said)}`;
  });
}

/** Refuses a piece that is not there any more, and a part that is to go back new itself. */
async function canStayOut({ trx, job }: Change, piece: PieceRef): Promise<void> {
  const there: Row | undefined = await ("part" in piece
    ? trx("parts").where({ job_id: job.id, ref: piece.part }).first()
    : trx("hardware").where({ job_id: job.id, ref: piece.hardware }).first());
  if (!there) throw new Fault("piece", "is not among what came out any more");
  if ("part" in piece && records.parts.read(there).renew)
    throw new Fault("piece", "goes back new itself: say at Judge first that it is kept as it is");
}

/** A change in the words of the history. */
function saidInWords(said: GoesInChange): string {
  switch (said.what) {
    case "facing":
      return said.says.trim()
        ? `the new one faces ${said.says.trim()}`
        : "the new one faces as the old one did";
    case "stack":
      return said.says.trim() ? `the new one lies so: ${said.says}` : "the new one lies as the old one did";
    case "also":
      return `with it goes ${said.says.trim()}`;
    case "companion":
      return `${said.companion} goes in with it, ${gotInWords(said.got)}`;
    case "replaces":
      return said.old.trim()
        ? `${said.companion} goes in in place of the old ${said.old.trim()}`
        : `${said.companion} goes in besides`;
    case "without":
      return `${said.companion} does not go in: ${said.why.trim()}`;
    case "open":
      return `${said.companion}: open again`;
    case "stays-out":
      return `a piece that came out stays out: ${said.piece.why.trim()}`;
    case "goes-back":
      return "a piece that was to stay out goes back";
  }
}
