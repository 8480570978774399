import type { Hardware, HardwareFacts } from "../hardware/piece";
import { quickLine } from "../hardware/quick-line";
import type { Part } from "../job/part";
import { remembered } from "../remembered";

/**
 * Pieces of hardware that a name alone says: "clip", "carbon brushes". A plan asks for the same names again
 * and again.
 */
const piecesIn = remembered((name: string): readonly HardwareFacts[] => quickLine(name).hardware, 2000);

/**
 * Whether a part is no other thing than a piece that was counted with it: a step called "clip" with "1
 * circlip" in its line, "carbon brushes" with "2 brushes".
 *
 * @example namesPiece({ name: "clip" }, { kind: "circlip", qty: 1 }) // true
 */
export function namesPiece(
  part: Pick<Part, "name">,
  piece: Pick<Hardware, "kind"> & { readonly finish?: string | undefined },
): boolean {
  const [named, ...others] = piecesIn(part.name ?? "");
  if (named === undefined || others.length) return false;
  // "height screw" beside a grub screw is another
  const isSameName = !isTurned(named.kind) || (named.finish ?? "") === (piece.finish ?? "");
  return (named.kind === piece.kind && isSameName) || (isClip(named.kind) && isClip(piece.kind));
}
const isTurned = (kind: string): boolean => kind === "screw" || kind === "nut";

/**
 * Which of several pieces a name means: those of its kind, and of these the ones of which more of its words
 * were said.
 *
 * @example piecesNamed("big o-ring", [{ kind: "o-ring", finish: "big" }, { kind: "o-ring" }]) // the first
 */
export function piecesNamed<P extends Pick<Hardware, "kind" | "finish" | "at" | "label">>(
  name: string,
  pieces: readonly P[],
): P[] {
  const named = piecesIn(name);
  const words = name.toLowerCase().split(/[^\p{L}\p{N}]+/u);
  const own = pieces.filter((p) => named.length === 1 && named[0]?.kind === p.kind);
  const said = ({ finish, at, label }: P): number =>
    words.filter((w) => w && ` ${[finish, at, label].join(" ").toLowerCase()} `.includes(` ${w} `)).length;
  const most = Math.max(0, ...own.map(said));
  return own.filter((p) => said(p) === most);
}
const isClip = (kind: string | undefined): boolean =>
  kind === "clip" || kind === "circlip" || kind === "e-clip";
