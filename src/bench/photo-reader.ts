import { type FacePlane, LONGEST_SIDE, type Picture, type Spot } from "@/core/photo/index";

/** What the photo worker is asked. The picture is sent once, with "open". */
export type PhotoQuestion =
  | { readonly ask: "open"; readonly picture: Picture }
  | { readonly ask: "read" }
  | {
      readonly ask: "lay";
      readonly plane: FacePlane;
      readonly teeth: number;
      readonly exactly: boolean;
      readonly settle: boolean;
    }
  | { readonly ask: "bore"; readonly plane: FacePlane }
  | { readonly ask: "bore-form"; readonly plane: FacePlane }
  | {
      readonly ask: "points";
      readonly plane: FacePlane;
      readonly a: Spot;
      readonly b: Spot;
      readonly mm: number;
    }
  | {
      readonly ask: "rule";
      readonly plane: FacePlane;
      readonly a: Spot;
      readonly b: Spot;
      readonly divisionMm: number;
    }
  | { readonly ask: "disc"; readonly plane: FacePlane; readonly at: Spot; readonly mm: number }
  | { readonly ask: "card"; readonly plane: FacePlane };

export interface PhotoProgress {
  readonly share: number;
  readonly says: string;
}

/**
 * The photo worker behind a promise. A question that is no longer wanted is cancelled by ending the worker;
 * the next one starts another.
 */
export class PhotoReader {
  private worker: Worker | undefined;
  private next = 1;
  private readonly waiting = new Map<
    number,
    {
      done: (x: unknown) => void;
      failed: (e: Error) => void;
      tell?: ((p: PhotoProgress) => void) | undefined;
    }
  >();

  constructor(private readonly picture: Picture) {}

  async ask<T>(
    question: Exclude<PhotoQuestion, { ask: "open" }>,
    tell?: (p: PhotoProgress) => void,
  ): Promise<T> {
    if (!this.worker) {
      this.worker = new Worker(new URL("../workers/photo-worker.ts", import.meta.url), { type: "module" });
      this.worker.onmessage = ({
        data,
      }: MessageEvent<{ id: number; result?: unknown; fault?: string; progress?: PhotoProgress }>) => {
        const w = this.waiting.get(data.id);
        if (data.progress) return w?.tell?.(data.progress);
        this.waiting.delete(data.id);
        if (data.fault) w?.failed(new Error(data.fault));
        else w?.done(data.result);
      };
      this.worker.onerror = () => this.end("The picture could not be worked on: the reader stopped.");
      await this.post({ ask: "open", picture: this.picture });
    }
    return (await this.post(question, tell)) as T;
  }

  private post(question: PhotoQuestion, tell?: (p: PhotoProgress) => void): Promise<unknown> {
    const id = this.next++;
    return new Promise((done, failed) => {
      this.waiting.set(id, { done, failed, tell });
      this.worker?.postMessage({ id, question });
    });
  }

  /** Ends what is under way; whoever waits for it is told `says`. */
  end(says = "cancelled"): void {
    this.worker?.terminate();
    this.worker = undefined;
    for (const w of this.waiting.values()) w.failed(new Error(says));
    this.waiting.clear();
  }
}

/** A picture of the shop decoded in the browser, its longest side brought to what is used of it. */
export async function pictureFromUrl(url: string): Promise<Picture> {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error("The shop does not give this picture.");
  const blob = await answer.blob();
  const full = await createImageBitmap(blob).catch(() => {
    throw new Error("This picture cannot be opened: it is damaged, or of a kind that is not read.");
  });
  const k = Math.min(1, LONGEST_SIDE / Math.max(full.width, full.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(full.width * k)),
    Math.max(1, Math.round(full.height * k)),
  );
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error("This browser gives no canvas to read the picture with.");
  context.imageSmoothingQuality = "high";
  context.drawImage(full, 0, 0, canvas.width, canvas.height);
  full.close();
  const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
  return { width, height, data };
}
