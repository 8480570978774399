import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import { findClick } from "../train/click-finder";
import type { TrainInput } from "../train/train";
import { clicksIn } from "./clicks";
import { drawnLines } from "./drawn-lines";
import { trainLines } from "./train-lines";
import { type Recording, readWav } from "./wav";

/** A WAV file as a program would write it. */
function wav(
  samples: readonly number[],
  {
    bits = 16,
    kind = 1,
    rate = 8000,
    channels = 1,
    extensible = false,
    size,
  }: {
    bits?: number;
    kind?: number;
    rate?: number;
    channels?: number;
    extensible?: boolean;
    size?: number;
  } = {},
): Uint8Array {
  // biome-ignore format: one row
  const bytes = bits / 8;
  const data = new DataView(new ArrayBuffer(samples.length * channels * bytes));
  samples.forEach((s, i) => {
    for (let c = 0; c < channels; c++) {
      const at = (i * channels + c) * bytes;
      if (kind === 3) bits === 32 ? data.setFloat32(at, s, true) : data.setFloat64(at, s, true);
      else if (bits === 8) data.setUint8(at, Math.round(s * 127) + 128);
      else {
        const whole = Math.round(s * (2 ** (bits - 1) - 1));
        for (let b = 0; b < bytes; b++) data.setUint8(at + b, (whole >> (8 * b)) & 255);
      }
    }
  });
  const fmt = new DataView(new ArrayBuffer(extensible ? 40 : 16));
  fmt.setUint16(0, extensible ? 0xfffe : kind, true);
  fmt.setUint16(2, channels, true);
  fmt.setUint32(4, rate, true);
  fmt.setUint32(8, rate * channels * bytes, true);
  fmt.setUint16(12, channels * bytes, true);
  fmt.setUint16(14, bits, true);
  if (extensible) fmt.setUint16(24, kind, true);
  const chunk = (name: string, body: Uint8Array, said = body.length): number[] => [
    ...[...name].map((c) => c.charCodeAt(0)),
    said & 255, (said >> 8) & 255, (said >> 16) & 255, (said >>> 24) & 255,
    ...body,
  ]; // biome-ignore format: bytes
  const body = [
    ...chunk("LIST", new Uint8Array([1, 2, 3, 4])),
    ...chunk("fmt ", new Uint8Array(fmt.buffer)),
    ...chunk("data", new Uint8Array(data.buffer), size),
  ];
  return Uint8Array.from(
    [..."RIFF", ...[0, 0, 0, 0].map(String), ..."WAVE"]
      .map((c) => (c.length && !/\d/.test(c) ? c.charCodeAt(0) : 0))
      .concat(body),
  );
}
const fault = (work: () => unknown): string => {
  try {
    work();
  } catch (e) {
    if (e instanceof Fault) return e.says;
    throw e;
  }
  throw new Error("was read");
};
const tone = Array.from({ length: 2400 }, (_, i) => 0.5 * Math.sin(i / 7));

describe("a WAV file", () => {
  it.each([
    [8, 1, 0.02],
    [16, 1, 1e-4],
    [24, 1, 1e-6],
    [32, 1, 1e-6],
    [32, 3, 1e-7],
    [64, 3, 1e-7],
  ] as const)(
    "of %i bit (format %i) is read, one channel or two, plain or extensible",
    (bits, kind, within) => {
      // biome-ignore format: a table
      for (const channels of [1, 2])
      for (const extensible of [false, true]) {
        const read = readWav(wav(tone, { bits, kind, channels, extensible, rate: 12_000 }));
        expect(read).toMatchObject({ rate: 12_000, channels, seconds: 0.2 });
        for (const [i, s] of tone.entries()) expect(Math.abs((read.samples[i] ?? 0) - s)).toBeLessThan(within);
      }
    },
  );

  it("that was broken off is read as far as it goes", () => {
    expect(readWav(wav(tone, { rate: 8000, size: 0xffffffff })).samples).toHaveLength(tone.length);
    expect(readWav(wav(tone, { rate: 8000 }).subarray(0, -200)).samples).toHaveLength(tone.length - 100);
  });

  it("is refused with a sentence where it is none, is packed, damaged, or too short", () => {
    expect(fault(() => readWav(new TextEncoder().encode("ID3 something else entirely")))).toMatch(
      /no WAV file/,
    );
    expect(fault(() => readWav(new Uint8Array(3)))).toMatch(/no WAV file/);
    expect(fault(() => readWav(wav(tone, { kind: 85 })))).toMatch(/packed \(MP3\)/);
    expect(fault(() => readWav(wav(tone, { bits: 12 })))).toMatch(/samples of 12 bit are not read/);
    expect(fault(() => readWav(wav(tone.slice(0, 100))))).toMatch(/shorter than a fifth of a second/);
    expect(fault(() => readWav(wav(tone, { rate: 100 })))).toMatch(/100 samples a second are not believed/);
    expect(fault(() => readWav(wav([...tone.slice(0, 2399), Number.NaN], { bits: 32, kind: 3 })))).toMatch(
      /no numbers/,
    );
    expect(fault(() => readWav(wav(tone).subarray(0, 30)))).toMatch(/no sound/);
  });

  it("law: whatever bytes come, it is read or refused with a sentence", () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), fc.nat(60), (bytes, at) => {
        const file = wav(tone.slice(0, 60));
        file.set(bytes.subarray(0, Math.max(0, file.length - at)), at);
        try {
          readWav(file);
        } catch (e) {
          expect(e).toBeInstanceOf(Fault);
        }
      }),
    );
  });
});

/** Noise with a short ring at every beat. */
function clicking({
  periodS,
  seconds = 8,
  rate = 16_000,
  loud = 0.5,
  noise = 0.05,
  seed = 1,
  jitterS = 0,
  leaveOut = 0,
}: {
  periodS: number;
  seconds?: number;
  rate?: number;
  loud?: number;
  noise?: number;
  seed?: number;
  jitterS?: number;
  leaveOut?: number;
}): Recording {
  // biome-ignore format: one row
  let state = seed >>> 0;
  const random = (): number => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
  const samples = Float32Array.from(
    { length: seconds * rate },
    () => noise * (random() + random() + random() - 1.5),
  );
  // one that is left out is followed by three: of every second one alone nobody could tell the period
  let since = 3;
  for (let beat = 0; (beat + 0.4) * periodS < seconds; beat++) {
    since = random() < leaveOut && since >= 3 ? 0 : since + 1;
    if (since === 0) continue;
    const at = Math.round(((beat + 0.4) * periodS + jitterS * (random() - 0.5)) * rate);
    for (let i = 0; i < 200 && at + i < samples.length; i++)
      samples[at + i] = (samples[at + i] ?? 0) + loud * Math.exp(-i / 40) * Math.sin(1.7 * i);
  }
  return { rate, samples, channels: 1, seconds };
}

describe("a click in a recording", () => {
  it("law: is heard at its period, whatever that is, with some left out and no even hand", () => {
    const any = fc.record({
      periodS: fc.double({ min: 0.12, max: 1.6, noNaN: true }),
      seed: fc.integer({ min: 1, max: 1e6 }),
    });
    fc.assert(
      fc.property(any, ({ periodS, seed }) => {
        const { clicksMs, periodMs } = clicksIn(
          clicking({ periodS, seed, jitterS: 0.006, leaveOut: 0.05, seconds: Math.max(6, 14 * periodS) }),
        );
        expect(Math.abs(periodMs / 1000 / periodS - 1)).toBeLessThan(0.05);
        const slope = ((clicksMs.at(-1) ?? 0) - (clicksMs[0] ?? 0)) / 1000 / periodS;
        expect(Math.abs(slope - Math.round(slope))).toBeLessThan(0.15);
      }),
      { numRuns: 40 },
    );
  });

  it("tells the shaft that it comes from, closer than a finger would", () => {
    const train: TrainInput = {
      input: { shaft: "motor", rpm: 3000 },
      meshes: [
        {
          id: "m1",
          kind: "spur",
          driver: { shaft: "motor", teeth: 10 },
          driven: { shaft: "lay", teeth: 53 },
        },
        { id: "m2", kind: "spur", driver: { shaft: "lay", teeth: 13 }, driven: { shaft: "drum", teeth: 41 } },
      ],
    };
    // once a turn of the drum, the motor 3 % below its plate
    const { clicksMs } = clicksIn(clicking({ periodS: (60 / (3000 * 0.97)) * 5.3 * (41 / 13), seed: 3 }));
    const heard = findClick({ train, clicksMs: [...clicksMs], heard: true });
    expect(heard.suspects[0]).toMatchObject({ rate: { at: "drum", kind: "shaft" } });
    expect(heard.clicks.u).toBeLessThan(findClick({ train, clicksMs: [...clicksMs] }).clicks.u / 3);
  });

  it("is not heard in noise, in silence, or in a hum", () => {
    for (const seed of [1, 2, 3, 4, 5, 6])
      expect(fault(() => clicksIn(clicking({ periodS: 1, loud: 0, seed })))).toMatch(/no steady click/);
    expect(fault(() => clicksIn(clicking({ periodS: 1, loud: 0, noise: 0 })))).toMatch(/no steady click/);
    const hum = clicking({ periodS: 1, loud: 0 });
    const humming = {
      ...hum,
      samples: hum.samples.map((s, i) => s + 0.6 * Math.sin((2 * Math.PI * 100 * i) / hum.rate)),
    };
    expect(fault(() => clicksIn(humming))).toMatch(/no steady click/);
  });
});

describe("the lines of a train", () => {
  const teeth = (least: number) => fc.integer({ min: least, max: 60 });
  it("every gear of a pair comes round as often as its teeth say, whatever the train (law)", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(teeth(4), teeth(4)), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 100, max: 20_000 }),
        (pairs, rpm) => {
          const train: TrainInput = {
            input: { shaft: "s0", rpm },
            meshes: pairs.map(([a, b], i) => ({
              id: `m${i}`,
              kind: "spur",
              driver: { shaft: `s${i}`, teeth: a },
              driven: { shaft: `s${i + 1}`, teeth: b },
            })),
          };
          const lines = trainLines(train);
          expect(lines.meshes).toHaveLength(pairs.length);
          for (const m of lines.meshes)
            for (const g of m.gears) expect(g.swells * g.teeth).toBeCloseTo(m.order, 9);
        },
      ),
    );
  });
  it("in a planetary set each planet meets a bad tooth, and the ring's teeth turn none", () => {
    const lines = trainLines({
      input: { shaft: "motor", rpm: 3000 },
      meshes: [
        {
          id: "p",
          kind: "planetary",
          sun: { shaft: "motor", teeth: 12 },
          ring: { shaft: "frame", teeth: 60 },
          carrier: { shaft: "out" },
          planets: 3,
          planetTeeth: 24,
        },
      ],
    });
    // the carrier makes a sixth of a turn: the sun passes each planet five sixths of a time
    expect(lines.meshes[0]?.order).toBeCloseTo(10, 9);
    expect(lines.meshes[0]?.gears.map((g) => [g.role, g.knocks])).toEqual([
      ["sun", expect.closeTo(2.5, 9)],
      ["ring", expect.closeTo(0.5, 9)],
      ["planet", expect.closeTo(10 / 12, 9)],
    ]);
  });
  it("what has no teeth sings nothing", () => {
    expect(
      trainLines({
        input: { shaft: "a", rpm: 1 },
        meshes: [
          {
            id: "r",
            kind: "rollers",
            driver: { shaft: "a", diameterMm: 10 },
            driven: { shaft: "b", diameterMm: 30 },
          },
        ],
      }).meshes,
    ).toEqual([]);
  });
});

it("the lines that are drawn: every turn, every mesh with its overtones, and sidebands only beside the gear that stands out", () => {
  const lines = trainLines({
    input: { shaft: "motor", rpm: 1200 },
    meshes: [
      { id: "m1", kind: "spur", driver: { shaft: "motor", teeth: 10 }, driven: { shaft: "out", teeth: 40 } },
    ],
  });
  const heard = { lines, rpm: { value: 1200, u: 1 } };
  const hz = (kind: string, out: Parameters<typeof drawnLines>[1]): number[] =>
    drawnLines(heard, out).flatMap((l) => (l.kind === kind ? [Math.round(l.hz)] : []));
  expect(hz("turn", null)).toEqual([20, 5]);
  expect(hz("mesh", null)).toEqual([200]);
  expect(hz("overtone", null)).toEqual([400, 600]);
  expect(hz("sideband", null)).toEqual([]);
  expect(hz("sideband", { mesh: "m1", shaft: "out" })).toEqual([190, 195, 205, 210, 390, 395, 405, 410]);
  expect(hz("sideband", { mesh: "m1", shaft: "nobody" })).toEqual([]);
});
