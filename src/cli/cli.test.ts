import { execFile, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { afterAll, beforeAll, describe, expect, it } from "vitest";

const folder = mkdtempSync(join(tmpdir(), "cli-"));
// bundled once: each call would otherwise compile every file anew. It lies in the project, where packages are found.
const built = mkdtempSync(join("node_modules", ".cli-"));
const main = join(built, "main.mjs");
beforeAll(() => {
  const made = spawnSync(
    join("node_modules", ".bin", "esbuild"),
    [
      "src/cli/main.ts",
      "--bundle",
      "--platform=node",
      "--format=esm",
      "--packages=external",
      "--alias:@=./src",
      `--outfile=${main}`,
    ],
    { encoding: "utf8" },
  );
  expect(made.status, made.stderr).toBe(0);
});
afterAll(() => {
  for (const made of [folder, built]) rmSync(made, { recursive: true, force: true });
});

function cli(words: string[], input = ""): { status: number | null; out: string; err: string } {
  const run = spawnSync(process.execPath, [main, ...words], {
    input,
    encoding: "utf8",
    env: { ...process.env, DEMONTAGE_DATA: folder },
  });
  return { status: run.status, out: run.stdout, err: run.stderr };
}
const job = {
  format: "demontage-job",
  version: 1,
  job: { number: "J-0500" },
  unit: { kind: "mill" },
  parts: [{ id: "p1", name: "wheel" }],
  steps: [
    { id: "s1", action: "unscrew", needs: [], hardware: [{ id: "h1", kind: "screw", qty: 4 }] },
    { id: "s2", action: "pull", parts: ["p1"] },
  ],
};

describe("the command line", () => {
  it("plans a rebuild, and counts the ledger after the lines that are done", () => {
    const plan = JSON.parse(cli(["rebuild", "plan"], JSON.stringify(job)).out);
    expect(plan.steps.flatMap((l: { undoes?: string }) => l.undoes ?? [])).toEqual(["s2", "s1"]);
    const done = join(folder, "done.json");
    writeFileSync(done, "[1]");
    expect(JSON.parse(cli(["rebuild", "plan", "--done", done], JSON.stringify(job)).out).ledger).toEqual({
      out: 5,
      back: 1,
      open: [{ step: "s1", pocket: 1, hardware: "h1", qty: 4 }],
    });
  });

  it("answers a bad input with exit 2, nothing on standard output, and one line that names the place", () => {
    for (const [input, says] of [
      ["{", "error: : this is not JSON"],
      [
        JSON.stringify({ ...job, steps: [{ id: "a", action: "yank" }] }),
        /^error: steps\[0\]\.action: is none of: unscrew/,
      ],
      [JSON.stringify({ ...job, extra: 1 }), /^error: : does not know the key "extra"/],
    ] as const) {
      const run = cli(["rebuild", "plan"], input);
      expect([run.status, run.out]).toEqual([2, ""]);
      expect(run.err.trim().split("\n").length).toBe(1);
      expect(run.err).toMatch(says);
    }
    expect(cli(["gear", "dance"])).toMatchObject({ status: 2, out: "" });
  });

  it("with --lines answers a bad line in its place and goes on", () => {
    const gear = { kind: "spur", teeth: 20, tipDiameter: 22, spans: [{ teeth: 3, value: 7.66 }] };
    const [first, second, third] = cli(
      ["gear", "identify", "--lines"],
      [JSON.stringify(gear), "{oops", JSON.stringify(gear)].join("\n"),
    )
      .out.trim()
      .split("\n")
      .map((l) => JSON.parse(l));
    expect(first.hypotheses[0].module).toBe(1);
    expect(second.error.says).toBe("this is not JSON");
    expect(third).toEqual(first);
  });

  it.each(["rebuild plan", "gear identify"])("takes the example that %s prints", (verb) => {
    const words = verb.split(" ");
    const example = cli([...words, "--example"]).out;
    expect(cli(words, example)).toMatchObject({ status: 0, err: "" });
    expect(cli([...words, "--help"]).out).toContain(verb);
  });

  it("takes a job in, gives it out, and the same bytes again", () => {
    const file = join(folder, "job.json");
    const zip = join(folder, "a.zip");
    writeFileSync(file, JSON.stringify(job));
    expect(JSON.parse(cli(["job", "import", file]).out)).toEqual({ number: "J-0500" });
    expect(cli(["job", "import", file])).toMatchObject({ status: 2, out: "" });
    expect(JSON.parse(cli(["job", "export", "J-0500", "--out", zip]).out)).toMatchObject({
      file: zip,
      pictures: 0,
    });
    const bytes = readFileSync(zip);
    cli(["job", "export", "J-0500", "--out", zip]);
    expect(readFileSync(zip).equals(bytes)).toBe(true);
    expect(cli(["job", "export", "J-0999"]).err).toMatch(/there is no job J-0999/);
  });
  it("backs the shop up, looks it through, and puts the back-up back beside what was there", () => {
    const shop = join(folder, "shop");
    const own = (words: string[]) => {
      const run = spawnSync(process.execPath, [main, ...words], {
        encoding: "utf8",
        env: { ...process.env, DEMONTAGE_DATA: shop },
      });
      return { status: run.status, out: run.stdout, err: run.stderr };
    };
    const file = join(folder, "job.json");
    writeFileSync(file, JSON.stringify(job));
    own(["job", "import", file]);
    const made = JSON.parse(own(["backup", join(folder, "saved")]).out);
    expect(made).toMatchObject({ jobs: 1, pictures: 0, missing: [] });
    expect(own(["check"])).toMatchObject({ status: 0, err: "" });
    expect(JSON.parse(own(["restore", join(folder, "saved")]).out)).toMatchObject({
      from: made.folder,
      jobs: 1,
      before: expect.stringContaining("before-restore-"),
    });
    truncateSync(join(shop, "shop.sqlite"), 0);
    expect(own(["check"]).err).toMatch(
      /^error: [^\n]*: Not checked: the database of this shop is empty, 0 bytes/,
    );
    expect(own(["restore", folder])).toMatchObject({
      status: 2,
      out: "",
      err: expect.stringMatching(/holds no back-up/),
    });
  });
  it("that is called several times at once waits its turn at the shop's database: each job gets a number of its own", async () => {
    const file = join(folder, "job.json");
    writeFileSync(file, JSON.stringify(job));
    const one = (): Promise<string> =>
      promisify(execFile)(process.execPath, [main, "job", "import", file, "--as-new"], {
        env: { ...process.env, DEMONTAGE_DATA: folder },
      }).then((r) => JSON.parse(r.stdout).number);
    const numbers = await Promise.all([one(), one(), one()]);
    expect(new Set(numbers).size).toBe(3);
  });
});
