import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { Fault } from "@/core/fault";
import { notDone, troubleIn } from "@/store/trouble";
import { commands, OPTIONS, type Options, type Verb } from "./commands";
import { whyNotRead } from "./not-read";

/**
 * The words of a command line and what was asked with them. Throws a Fault for an option that nobody knows.
 */
function asked(args: string[]): { words: string[]; options: Options } {
  try {
    const { values, positionals } = parseArgs({ args, options: OPTIONS, allowPositionals: true });
    return { words: positionals, options: values };
  } catch (e) {
    throw new Fault(
      "",
      e instanceof Error ? (e.message.split(". ")[0] ?? "").toLowerCase() : "cannot be read",
    );
  }
}

/** `npm run -s cli -- NOUN VERB [FILE] [--options]`: a thin door to the core. See docs/formats.md. */
async function main(argv: string[]): Promise<number> {
  let words: string[];
  let options: Options;
  try {
    ({ words, options } = asked(argv));
  } catch (e) {
    return complain(e);
  }
  const [noun, ...after] = words;
  const isOneWord = noun !== undefined && Object.hasOwn(commands, noun);
  const [command, rest] = isOneWord ? [noun, after] : [`${noun} ${after[0]}`, after.slice(1)];
  const verb: Verb | undefined = Object.hasOwn(commands, command) ? commands[command] : undefined;
  if (!verb) {
    const known = Object.entries(commands).map(([k, v]) => `  ${k.padEnd(18)} ${v.help}`);
    if (options.help || !noun) {
      console.log(
        ["npm run -s cli -- NOUN VERB [FILE] [--in FILE] [--lines] [--example] [--help]", ...known].join(
          "\n",
        ),
      );
      return 0;
    }
    return complain(new Fault("", `there is no command "${words.join(" ")}"; --help lists them`));
  }
  if (options.help) console.log(`${command}: ${verb.help}`);
  else if (options.example) console.log(JSON.stringify(verb.example, null, 2));
  else {
    try {
      if (verb.run) await verb.run(rest, options);
      else if (verb.picture) await pictures(verb.picture, rest, options);
      else if (options.lines) await lines(verb, input(rest, options));
      else print(await verb.answer(parse(input(rest, options)), options));
    } catch (e) {
      return complain(e);
    }
  }
  return 0;
}

function input(rest: string[], options: Options): string {
  const file = options.in ?? rest[0];
  try {
    return readFileSync(typeof file === "string" ? file : 0, "utf8");
  } catch (e) {
    throw new Fault(typeof file === "string" ? file : "standard input", whyNotRead(e));
  }
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    throw new Fault("", "this is not JSON");
  }
}

const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value)}\n`);

async function lines(verb: Verb, text: string): Promise<void> {
  const options: Options = {};
  const out: unknown[] = [];
  for (const line of text.split("\n").filter((l) => l.trim()))
    try {
      out.push(await verb.answer(parse(line), options));
    } catch (e) {
      if (!(e instanceof Fault)) throw e;
      out.push({ error: { path: e.path, says: e.says } });
    }
  process.stdout.write(out.map((o) => `${JSON.stringify(o)}\n`).join(""));
}

/** Pictures by their paths: one as an argument, or with --lines one a line. */
async function pictures(read: NonNullable<Verb["picture"]>, rest: string[], options: Options): Promise<void> {
  if (!options.lines) return print(await read(rest[0], options));
  for (const path of input(rest, options)
    .split("\n")
    .map((l) => l.trim())
    .filter(Boolean))
    try {
      print(await read(path, options));
    } catch (e) {
      if (!(e instanceof Fault)) throw e;
      print({ error: { path: e.path, says: e.says } });
    }
}

function complain(error: unknown): number {
  const trouble = troubleIn(error);
  const e = trouble ? new Fault("", notDone("Not done", trouble)) : error;
  if (!(e instanceof Fault)) throw e;
  process.stderr.write(`error: ${e.path}: ${e.says}\n`.replace(/\n(?=.)/g, " "));
  return 2;
}

const code = await main(process.argv.slice(2));
if (code) process.exitCode = code;
