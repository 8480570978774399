import { shaftSpeeds } from "../../src/core/train/shaft-speeds";
import { isSmooth, type Mesh, type TrainInput } from "../../src/core/train/train";

/** Numbers that look random and are the same each time. */
export interface Chance {
  /** 0 to 1 */
  readonly next: () => number;
  readonly between: (least: number, most: number) => number;
  readonly whole: (least: number, most: number) => number;
  readonly normal: () => number;
  readonly oneOf: <T>(xs: readonly T[]) => T;
}

/** xorshift, 32 bit. */
export function chance(seed: number): Chance {
  let s = (Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ 0x2545f491) | 1;
  const next = (): number => {
    s ^= s << 13;
    s ^= s >>> 17;
    s ^= s << 5;
    return (s >>> 0) / 2 ** 32;
  };
  for (let i = 0; i < 20; i++) next();
  const between = (least: number, most: number): number => least + (most - least) * next();
  const whole = (least: number, most: number): number => least + Math.floor((most - least + 1) * next());
  return {
    next,
    between,
    whole,
    normal: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    oneOf: (xs) => xs[whole(0, xs.length - 1)] as (typeof xs)[number],
  };
}

export interface MadeFault {
  readonly kind: "tooth" | "eccentric";
  readonly mesh: string;
  readonly side: "driver" | "driven";
  /** 0 to 1: hardly there to plain */
  readonly strength: number;
}

export interface MadeUnit {
  readonly train: TrainInput;
  /** what the motor really turns, rpm */
  readonly rpm: number;
  readonly fault: MadeFault | null;
  readonly seconds: number;
  readonly rate: number;
}

const TURN = 2 * Math.PI;

/**
 * What a bench microphone hears of a gear train. Made from what makes the noise: every pair of teeth enters
 * with a force that depends on how these two teeth came out (pitch errors), on how
 * far each wheel runs out of true (which also shifts the moment of entry), and on whether a tooth is missing:
 * then nothing pushes for a pitch, and the next tooth is struck. Around it a
 * commutator, a fan, the hum of the mains, the modes of a housing, the echo of a room, a bench on which
 * things are laid down, and a microphone.
 */
export function machineSound({ train, rpm, fault, seconds, rate }: MadeUnit, r: Chance): Float32Array {
  const n = Math.round(seconds * rate);
  const turns = motorTurns(n, rate, rpm, r);
  const speeds = shaftSpeeds(train).turns;
  const steady = new Float64Array(n);
  const struck = new Float64Array(n);
  for (const m of train.meshes)
    if (!isSmooth(m) && m.kind !== "planetary")
      addMesh(steady, struck, turns, m, speeds, fault?.mesh === m.id ? fault : null, r, rpm, rate);
  addMotor(steady, turns, r);
  const out = throughHousing(steady, struck, rate, r);
  addRoom(out, rate, r);
  return microphone(out, rate, r);
}

/** Turns of the motor at every sample: a speed that wanders, ripples with the load and the mains. */
function motorTurns(n: number, rate: number, rpm: number, r: Chance): Float64Array {
  const turns = new Float64Array(n);
  const wander = r.between(0.001, 0.006);
  const pull = { depth: r.between(0, 0.012), hz: r.between(0.15, 2.2), at: r.next() * TURN };
  let off = 0;
  let at = r.next();
  for (let i = 0; i < n; i++) {
    if (i % 64 === 0) off += (64 / rate) * 2.5 * -off + wander * Math.sqrt((64 / rate) * 5) * r.normal();
    at += ((rpm / 60) * (1 + off + pull.depth * Math.sin((TURN * pull.hz * i) / rate + pull.at))) / rate;
    turns[i] = at;
  }
  return turns;
}

function addMesh(
  steady: Float64Array,
  struck: Float64Array,
  turns: Float64Array,
  m: Extract<Mesh, { driver: { teeth: number } }>,
  speeds: ReadonlyMap<string, number>,
  fault: MadeFault | null,
  r: Chance,
  rpm: number,
  rate: number,
): void {
  const level = r.between(0.15, 0.8) * (m.kind === "belt" ? 0.25 : 1);
  const wheels = (["driver", "driven"] as const).map((side) => {
    const bent =
      fault?.kind === "eccentric" && fault.side === side ? 0.3 + 0.6 * fault.strength : r.between(0.01, 0.1);
    return {
      turn: Math.abs(speeds.get(m[side].shaft) ?? 0),
      teeth: m[side].teeth,
      // how each of its teeth came out
      teethOff: Array.from({ length: m[side].teeth }, () => 0.05 * r.normal()),
      out: bent,
      // a wheel out of true comes early and late too
      early: bent * r.between(0.1, 0.5),
      at: r.next() * TURN,
      missing: fault?.kind === "tooth" && fault.side === side ? r.whole(0, m[side].teeth - 1) : -1,
      chipped: fault?.kind === "tooth" && fault.side === side ? 0.35 + 0.6 * fault.strength : 0,
      knock: 0,
    };
  });
  const perTurn = (wheels[0]?.turn ?? 0) * m.driver.teeth;
  const waves = [1, r.between(0.15, 0.6), r.between(0.05, 0.35), r.between(0.02, 0.2), r.between(0, 0.1)]
    .map((a, h) => ({ a: a * level, order: perTurn * (h + 1), at: r.next() * TURN, h: h + 1 }))
    .filter((w) => (w.order * rpm) / 60 < 0.45 * rate);
  const blow = (0.8 + 4 * (fault?.strength ?? 0)) * level * Math.sqrt(60 / Math.max(60, perTurn));
  const lastGap = wheels.map(() => -1);
  for (let i = 0; i < turns.length; i++) {
    const p = turns[i] as number;
    let load = 1;
    let early = 0;
    for (const [k, w] of wheels.entries()) {
      const angle = p * w.turn;
      const pitch = (angle - Math.floor(angle)) * w.teeth;
      const tooth = Math.floor(pitch);
      const swing = Math.cos(TURN * angle + w.at);
      load *= (1 + w.out * swing) * (1 + (w.teethOff[tooth] as number));
      early += w.early * Math.sin(TURN * angle + w.at);
      if (w.missing < 0) continue;
      const since = (pitch - w.missing + w.teeth) % w.teeth;
      if (since < 1.15) load *= 1 - w.chipped;
      // the next tooth is struck as it comes in
      const turn = Math.floor(angle - (w.missing + 1) / w.teeth);
      if (turn !== lastGap[k]) {
        if (lastGap[k] !== -1) struck[i] = (struck[i] as number) + blow * r.between(0.6, 1.4);
        lastGap[k] = turn;
      }
    }
    let s = 0;
    for (const w of waves) s += w.a * Math.cos(TURN * p * w.order + w.at + early * w.h);
    steady[i] = (steady[i] as number) + s * load;
  }
}

/** Commutator, imbalance, fan blades, and the noise of moved air, which breathes with the turn. */
function addMotor(steady: Float64Array, turns: Float64Array, r: Chance): void {
  const bars = r.whole(8, 32);
  const blades = r.whole(5, 11);
  const [whine, blade, once, air] = [
    r.between(0, 0.25),
    r.between(0, 0.2),
    r.between(0, 0.2),
    r.between(0.1, 0.6),
  ];
  let low = 0;
  for (let i = 0; i < steady.length; i++) {
    const p = TURN * (turns[i] as number);
    const white = r.normal();
    low += 0.15 * (white - low);
    steady[i] =
      (steady[i] as number) +
      whine * (Math.cos(p * bars) + 0.4 * Math.cos(2 * p * bars + 1)) +
      blade * Math.cos(p * blades + 0.5) +
      once * (Math.cos(p) + 0.5 * Math.cos(2 * p + 0.3)) +
      air * (1 + 0.25 * Math.cos(p + 2)) * (low + 0.2 * white);
  }
}

/** The sound as it is and as the housing rings; what is struck is heard by the ringing alone. */
function throughHousing(steady: Float64Array, struck: Float64Array, rate: number, r: Chance): Float64Array {
  const direct = r.between(0.2, 0.8);
  const out = steady.map((s) => direct * s);
  for (let mode = r.whole(4, 9); mode > 0; mode--) {
    const hz = 250 * 22 ** r.next();
    if (hz > 0.42 * rate) continue;
    const w = (TURN * hz) / rate;
    const decay = Math.exp(-w / (2 * r.between(6, 35)));
    const [a1, a2, gain] = [2 * decay * Math.cos(w), -decay * decay, (1 - decay) * r.between(0.6, 2.5)];
    let [y1, y2] = [0, 0];
    for (let i = 0; i < out.length; i++) {
      const y = a1 * y1 + a2 * y2 + gain * ((steady[i] as number) + 10 * (struck[i] as number));
      y2 = y1;
      y1 = y;
      out[i] = (out[i] as number) + y;
    }
  }
  return out;
}

function addRoom(out: Float64Array, rate: number, r: Chance): void {
  const mains = r.oneOf([50, 60]);
  const hum = r.between(0, 0.12);
  for (let i = 0; i < out.length; i++)
    out[i] =
      (out[i] as number) +
      hum * (Math.sin((TURN * mains * i) / rate) + 0.5 * Math.sin((TURN * 2 * mains * i) / rate + 1));
  for (let echo = 1; echo <= 4; echo++) {
    const d = Math.round((r.between(5, 22) * echo * rate) / 1000);
    const g = 0.4 * 0.62 ** echo;
    for (let i = out.length - 1; i >= d; i--) out[i] = (out[i] as number) + g * (out[i - d] as number);
  }
  // something is laid down on the bench
  for (let knocks = r.whole(0, 3); knocks > 0; knocks--) {
    const from = Math.floor(r.next() * out.length);
    const [loud, hz, long] = [r.between(0.8, 3), r.between(150, 1800), rate * r.between(0.01, 0.05)];
    for (let i = 0; i < 8 * long && from + i < out.length; i++)
      out[from + i] =
        (out[from + i] as number) +
        loud * Math.exp(-i / long) * (Math.sin((TURN * hz * i) / rate) + 0.5 * r.normal());
  }
}

function microphone(sound: Float64Array, rate: number, r: Chance): Float32Array {
  const keep = Math.exp((-TURN * r.between(50, 120)) / rate);
  const noise = r.between(0.002, 0.02);
  let [high, last, top] = [0, 0, 1e-9];
  const out = Float32Array.from(sound, (s) => {
    high = keep * (high + s - last);
    last = s;
    const y = high + noise * r.normal();
    top = Math.max(top, Math.abs(y));
    return y;
  });
  const gain = r.between(0.2, 0.95) / top;
  return out.map((y) => y * gain);
}
