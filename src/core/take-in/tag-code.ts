/**
 * The job a tag, or whatever else was scanned or typed, speaks of: the address that the QR code holds,
 * `J-0142`, `j142`, or just `142`.
 * Null where it is none.
 *
 * @example jobNumberFrom("http://shop.local:3000/jobs/J-0142") // "J-0142"
 */
export function jobNumberFrom(scanned: string): string | null {
  const text = scanned.trim();
  const m = /\/jobs\/J-(\d{4,12})\b/i.exec(text) ?? /^J?-?\s?(\d{1,12})$/i.exec(text);
  return m ? `J-${(m[1] as string).padStart(4, "0")}` : null;
}
