import type { JobFile } from "./job-file";

/**
 * A job with its pictures. They are read one by one when they are needed: a job with hundreds of them is
 * larger than what a small computer holds at once.
 */
export interface JobParcel {
  readonly file: JobFile;
  /** name in the job file → how its bytes are read */
  readonly pictures: ReadonlyMap<string, () => Promise<Uint8Array>>;
}

/** Pictures that are held already. */
export const heldPictures = (pictures: Iterable<readonly [string, Uint8Array]>): JobParcel["pictures"] =>
  new Map([...pictures].map(([name, bytes]) => [name, async () => bytes]));
