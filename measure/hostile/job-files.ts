import { zipOf } from "../../src/exchange/test-parcel";

/** A file that is meant ill, or was only made badly: its name, what it is, and its bytes. */
export interface HostileFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

const sound = (more: object = {}): Record<string, unknown> => ({
  format: "demontage-job",
  version: 1,
  unit: { kind: "loom" },
  parts: [{ id: "p1", name: "heddle" }],
  steps: [{ id: "s1", action: "pull", parts: ["p1"] }],
  ...more,
});
const text = (json: unknown): Uint8Array =>
  Buffer.from(typeof json === "string" ? json : JSON.stringify(json));
const many = <T>(n: number, of: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => of(i));
const carried = (job: object): object => sound({ x: { demontage: { job } } });

/** Job files: wrong in their form, in their meaning, in their size, in their pictures. */
export async function hostileJobFiles(jpeg: Uint8Array): Promise<HostileFile[]> {
  const bare: Record<string, unknown> = {
    "nothing.json": "",
    "null.json": "null",
    "number.json": "7",
    "list.json": "[]",
    "half.json": '{"format":"demontage-job","version":1,"unit":{"kind":"loo',
    "nul-in-it.json": JSON.stringify(sound({ unit: { kind: "lo\0om" } })),
    "lone-surrogate.json": '{"format":"demontage-job","version":1,"unit":{"kind":"\\ud800"},"steps":[]}',
    "proto.json":
      '{"__proto__":{"isOwner":true},"format":"demontage-job","version":1,"unit":{"kind":"x"},"steps":[]}',
    "constructor.json": sound({ x: { constructor: { prototype: { polluted: true } } } }),
    "later-version.json": sound({ version: 99 }),
    "never-back.json": sound({ x: { bench: { job: { handedBackAt: "never" } } } }),
    "to-fit.json": sound({ x: { bench: { job: { toFit: {} } } } }),
    "train-oops.json": sound({ x: { bench: { job: { train: "oops" } } } }),
    "number-by-x.json": sound({ x: { bench: { job: { number: "J-0001" } } } }),
    "number-huge.json": sound({ job: { number: "J-999999999999" } }),
    "number-odd.json": sound({ job: { number: "J-1; drop table jobs" } }),
    "number-path.json": sound({ job: { number: "../../etc" } }),
    "promised-never.json": sound({ job: { promised: "2026-13-45" } }),
    "waits-since.json": carried({ waiting: { what: "a letter", since: "x" } }),
    "ending-at.json": carried({ ending: { how: "scrapped", why: "no more", at: "then" } }),
    "stage-none.json": sound({ job: { stage: "heaven" } }),
    "infinite.json":
      '{"format":"demontage-job","version":1,"job":{"limit":1e999},"unit":{"kind":"x"},"steps":[]}',
    "minus.json": sound({ job: { limit: -5 } }),
    "million-pieces.json": sound({
      steps: [{ id: "s1", action: "unscrew", hardware: [{ id: "h1", kind: "screw", qty: 1e6 }] }],
    }),
    "circle.json": sound({
      steps: [
        { id: "s1", action: "pull", needs: ["s2"] },
        { id: "s2", action: "pull", needs: ["s1"] },
      ],
    }),
    "needs-itself.json": sound({ steps: [{ id: "s1", action: "pull", needs: ["s1"] }] }),
    "needs-nothing.json": sound({ steps: [{ id: "s1", action: "pull", needs: ["s9"] }] }),
    "same-step-twice.json": sound({
      steps: [
        { id: "s1", action: "pull" },
        { id: "s1", action: "pull" },
      ],
    }),
    "same-part-twice.json": sound({ parts: [{ id: "p1" }, { id: "p1" }] }),
    "off-twice.json": sound({
      steps: [
        { id: "s1", action: "pull", parts: ["p1"] },
        { id: "s2", action: "pull", parts: ["p1"] },
      ],
    }),
    "two-findings.json": sound({ findings: [{ part: "p1" }, { part: "p1" }] }),
    "finding-on-nothing.json": sound({ findings: [{ part: "p77", mode: "cracked" }] }),
    "bundles-crossed.json": sound({
      parts: [],
      steps: [
        { id: "a", action: "pull", bundle: "x" },
        { id: "b", action: "pull", bundle: "y", needs: ["a"] },
        { id: "c", action: "pull", bundle: "x", needs: ["b"] },
      ],
    }),
    "ids-odd.json": sound({
      parts: [
        { id: "../..", name: "a" },
        { id: "a/b?c#d%", name: "b" },
        { id: "Rad Ü 1", name: "c", kind: "gear" },
      ],
      steps: [{ id: "<s>", action: "pull", parts: ["../..", "a/b?c#d%", "Rad Ü 1"] }],
    }),
    "script.json": sound({
      unit: { kind: "<script>alert(1)</script>" },
      job: { complaint: "<img src=x onerror=alert(1)>" },
      parts: [{ id: "p1", name: "</script><script>alert(1)</script>" }],
    }),
    "right-to-left.json": sound({ unit: { kind: "\u202egnip\u202c\u2066" } }),
    "zalgo.json": sound({ unit: { kind: `a${"\u0301".repeat(3000)}` } }),
    "long-kind.json": sound({ unit: { kind: "k".repeat(4000) } }),
    "longer-kind.json": sound({ unit: { kind: "k".repeat(200_000) } }),
    "read-number-3k.json": sound({ findings: [{ part: "p1", x: { readNumber: "8B0O".repeat(750) } }] }),
    "read-number-200k.json": sound({ findings: [{ part: "p1", x: { readNumber: "8".repeat(200_000) } }] }),
    "deep-x.json": `{"format":"demontage-job","version":1,"unit":{"kind":"x"},"steps":[],"x":${'{"a":'.repeat(50_000)}1${"}".repeat(50_000)}}`,
    "deep-list.json": `${"[".repeat(200_000)}${"]".repeat(200_000)}`,
    "deep-in-finding.json": `{"format":"demontage-job","version":1,"unit":{"kind":"x"},"parts":[{"id":"p1"}],"steps":[],"findings":[{"part":"p1","x":${'{"a":'.repeat(2000)}1${"}".repeat(2000)}}]}`,
    "wide-x.json": sound({ x: Object.fromEntries(many(600_000, (i) => [`k${i}`, i])) }),
    "symptoms-200k.json": sound({ job: { symptoms: many(200_000, () => "loud") } }),
    "readings-50k.json": sound({
      findings: [{ part: "p1", readings: many(50_000, () => ({ what: "bore", value: 8 })) }],
    }),
    "readings-in-all.json": sound({
      parts: many(3000, (i) => ({ id: `p${i}` })),
      steps: [],
      findings: many(3000, (i) => ({
        part: `p${i}`,
        readings: many(10, () => ({ what: "bore", value: 8 })),
      })),
    }),
    "needs-dense.json": sound({
      parts: [],
      steps: many(700, (i) => ({ id: `s${i}`, action: "pull", needs: many(i, (k) => `s${k}`) })),
    }),
    "steps-5000.json": sound({ parts: [], steps: many(5000, (i) => ({ id: `s${i}`, action: "pull" })) }),
    "steps-6000.json": sound({ parts: [], steps: many(6000, (i) => ({ id: `s${i}`, action: "pull" })) }),
    "hardware-20k.json": sound({
      parts: [],
      steps: [
        {
          id: "s1",
          action: "unscrew",
          hardware: many(20_000, (i) => ({ id: `h${i}`, kind: "screw", qty: 1 })),
        },
      ],
    }),
    "text-30MB.json": `{"format":"demontage-job","x":"${"y".repeat(30e6)}"}`,
    "blanks-30MB.json": " ".repeat(30e6),
    "marks-none.json": sound({ pictureMarks: { "0001.jpg": [{ kind: "arrow", from: [9, 9], to: [0, 0] }] } }),
    "teeth-odd.json": sound({ findings: [{ part: "p1", teeth: { "-1": "missing" } }] }),
    "gear-odd.json": sound({ findings: [{ part: "p1", x: { gear: { teeth: 1e9 } } }] }),
    "answers-odd.json": sound({
      x: { demontage: { answers: [{ question: "final:x", answer: "yes", at: "yesterday" }] } },
    }),
    "quote-odd.json": sound({
      x: { demontage: { bought: { quotes: [{ madeAt: "x" }], orders: [], arrivals: [] } } },
    }),
    "lines-odd.json": sound({ x: { demontage: { linesDone: many(30_000, () => "undo:s1") } } }),
    "weighed-odd.json": sound({ x: { demontage: { weighed: { g1: { grams: "much" } } } } }),
    "unknown-key.json": sound({ colour: "red" }),
    "two-writings.json": Buffer.concat([
      Buffer.from([0xff, 0xfe]),
      Buffer.from(JSON.stringify(sound()), "utf16le"),
    ]).toString("latin1"),
  };
  const files: HostileFile[] = Object.entries(bare).map(([name, json]) => ({ name, bytes: text(json) }));
  const withPicture = sound({ steps: [{ id: "s1", action: "pull", parts: ["p1"], pictures: ["0001.jpg"] }] });
  const job = JSON.stringify(withPicture);
  const whole = await zipOf({ "job.json": job, "pictures/0001.jpg": jpeg });
  const turned = Buffer.from(whole);
  const at = turned.indexOf("pictures/0001.jpg") + 400;
  turned[at] = (turned[at] ?? 0) ^ 16;
  const zips: Record<string, Uint8Array> = {
    "no-job.zip": await zipOf({ "readme.txt": "hello" }),
    "cut-off.zip": whole.subarray(0, whole.length - 60),
    "turned-bit.zip": turned,
    "missing-picture.zip": await zipOf({ "job.json": job, "pictures/0002.jpg": jpeg }),
    "broken-picture.zip": await zipOf({ "job.json": job, "pictures/0001.jpg": jpeg.subarray(0, 300) }),
    "picture-of-words.zip": await zipOf({ "job.json": job, "pictures/0001.jpg": "hello" }),
    "picture-svg.zip": await zipOf({
      "job.json": job,
      "pictures/0001.jpg": '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>',
    }),
    "link.zip": await zipOf({ "job.json": job, "pictures/0001.jpg": "/etc/passwd" }, 0o120777),
    "way-out.zip": Buffer.from(
      whole.toString("latin1").replaceAll("pictures/0001.jpg", "../../../0001.jpg"),
      "latin1",
    ),
    "wrong-hash.zip": await zipOf({
      "job.json": JSON.stringify({
        ...withPicture,
        x: { demontage: { pictures: [{ name: "0001.jpg", role: "step", sha256: "0".repeat(64) }] } },
      }),
      "pictures/0001.jpg": jpeg,
    }),
    "bomb-json.zip": await zipOf({ "job.json": Buffer.alloc(300e6, 32) }),
    "bomb-picture.zip": await zipOf({ "job.json": job, "pictures/0001.jpg": Buffer.alloc(300e6) }),
    "many-entries.zip": await zipOf({
      "job.json": job,
      ...Object.fromEntries(many(6000, (i) => [`pictures/${i}.jpg`, "x"])),
    }),
    "head-only.zip": Buffer.from("PK\u0003\u0004"),
    "end-only.zip": Buffer.from("504b0506000000000000000000000000000000000000", "hex"),
  };
  return [...files, ...Object.entries(zips).map(([name, bytes]) => ({ name, bytes }))];
}
