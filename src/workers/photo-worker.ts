import jsQR from "jsqr";
import type { PhotoQuestion } from "@/bench/photo-reader";
import { Fault } from "@/core/fault";
import {
  boreFormsOf,
  boreOf,
  discAt,
  type Picture,
  planesOf,
  readGear,
  ringLayer,
  type Spot,
  scaleFromCorners,
  scaleFromDisc,
  scaleFromPoints,
  sideOfCard,
  ticksBetween,
} from "@/core/photo/index";

let picture: Picture | undefined;
let lay: ReturnType<typeof ringLayer> | undefined;
let planes: ReturnType<typeof planesOf> | undefined;
const opened = (): Picture => {
  if (!picture) throw new Fault("picture", "no picture is open");
  return picture;
};

/** The picture as planes, made when a size is first asked for. */
const whole = (): ReturnType<typeof planesOf> => {
  planes ??= planesOf(opened());
  return planes;
};

function answer(q: PhotoQuestion, tell: (share: number, says: string) => void): unknown {
  switch (q.ask) {
    case "open":
      picture = q.picture;
      planes = undefined;
      lay = ringLayer(picture);
      return null;
    case "read":
      return readGear(opened(), { tell });
    case "lay":
      return lay?.(q.plane, q.teeth, q);
    case "bore":
      return boreOf(whole(), q.plane);
    case "bore-form":
      return boreFormsOf(whole(), q.plane);
    case "points":
      return scaleFromPoints(q.plane, q.a, q.b, q.mm);
    case "rule": {
      const divisions = ticksBetween(whole(), q.a, q.b);
      return { ...scaleFromPoints(q.plane, q.a, q.b, divisions * q.divisionMm), divisions };
    }
    case "disc": {
      const disc = discAt(whole(), q.at);
      return { ...scaleFromDisc(q.plane, disc, q.mm), disc };
    }
    case "card": {
      const p = opened();
      const code = jsQR(new Uint8ClampedArray(p.data), p.width, p.height);
      if (!code)
        throw new Fault(
          "card",
          "no scale card is seen: its whole code must be in the picture, sharp and flat beside the gear",
        );
      const {
        topLeftCorner: a,
        topRightCorner: b,
        bottomRightCorner: c,
        bottomLeftCorner: d,
      } = code.location;
      const corners = [a, b, c, d].map((s): Spot => [s.x, s.y]) as [Spot, Spot, Spot, Spot];
      return { ...scaleFromCorners(q.plane, corners, sideOfCard(code.data)), corners };
    }
  }
}

self.onmessage = ({ data: { id, question } }: MessageEvent<{ id: number; question: PhotoQuestion }>) => {
  const post = (message: object): void => self.postMessage({ id, ...message });
  try {
    post({ result: answer(question, (share, says) => post({ progress: { share, says } })) });
  } catch (e) {
    post({ fault: e instanceof Fault ? e.says : "The picture could not be worked on." });
  }
};
