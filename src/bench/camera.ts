/** A camera over the bench. All kinds look alike from outside: open a view, take a picture, close. */
export interface Camera {
  /** An element that shows what the camera sees. Rejects with a sentence when there is nothing to see. */
  open(): Promise<HTMLElement>;
  /** The picture as it stands, as JPEG. */
  shoot(): Promise<Blob>;
  close(): void;
}

export type CameraKind = "simulated" | "live";
export const cameraKinds: readonly { kind: CameraKind; says: string }[] = [
  { kind: "live", says: "Bench camera" },
  { kind: "simulated", says: "Practice camera" },
];

/** @param subject what lies under the practice camera: it picks the picture whose name fits best */
/** A camera by its name; the practice camera where there is none of that name. */
export const cameraKind = (name: string | null): CameraKind =>
  cameraKinds.find((k) => k.kind === name)?.kind ?? "simulated";

export const cameraFrom = (kind: CameraKind, subject: string): Camera =>
  kind === "live" ? liveCamera() : practiceCamera(subject);

function jpegOf(source: HTMLVideoElement | HTMLCanvasElement, width: number, height: number): Promise<Blob> {
  const canvas = document.createElement("canvas");
  canvas.width = width;
  canvas.height = height;
  canvas.getContext("2d")?.drawImage(source, 0, 0, width, height);
  return new Promise((done, failed) =>
    canvas.toBlob(
      (b) => (b ? done(b) : failed(new Error("The picture could not be made."))),
      "image/jpeg",
      0.9,
    ),
  );
}

/** The browser's own camera interface. */
function liveCamera(): Camera {
  const video = document.createElement("video");
  let stream: MediaStream | undefined;
  return {
    async open() {
      if (!navigator.mediaDevices?.getUserMedia)
        throw new Error("This browser gives no camera here. Pick a file, or take the practice camera.");
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { width: { ideal: 1920 }, height: { ideal: 1440 }, facingMode: "environment" },
        });
      } catch {
        throw new Error("No camera found, or it is not allowed. Pick a file, or take the practice camera.");
      }
      video.srcObject = stream;
      video.playsInline = true;
      video.muted = true;
      await video.play();
      return video;
    },
    shoot: () => jpegOf(video, video.videoWidth, video.videoHeight),
    close: () => {
      for (const track of stream?.getTracks() ?? []) track.stop();
    },
  };
}

/**
 * A stand-in that ships with the demo: it shows the demo shop's photographs under a hand that is never quite
 * still.
 */
function practiceCamera(subject: string): Camera {
  const canvas = document.createElement("canvas");
  canvas.width = 880;
  canvas.height = 660;
  canvas.setAttribute("role", "img");
  canvas.setAttribute("aria-label", "practice camera");
  const image = new Image();
  let frame = 0;
  let open = true;
  const draw = (t: number): void => {
    if (!open) return;
    const dx = Math.sin(t / 1700) * 5 + Math.sin(t / 430) * 1.5;
    const dy = Math.cos(t / 1300) * 4;
    canvas.getContext("2d")?.drawImage(image, -10 + dx, -8 + dy, canvas.width + 20, canvas.height + 16);
    frame = requestAnimationFrame(draw);
  };
  return {
    async open() {
      image.src = `/api/practice-camera?subject=${encodeURIComponent(subject)}`;
      try {
        await image.decode();
      } catch {
        throw new Error("The practice camera has no pictures here. Pick a file instead.");
      }
      draw(0);
      return canvas;
    },
    shoot: () => jpegOf(canvas, canvas.width, canvas.height),
    close: () => {
      open = false;
      cancelAnimationFrame(frame);
    },
  };
}
