// The certificate that the shop shows on the local net: one that it was given, or one of its own, made once.
import { createPrivateKey, X509Certificate } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { isIP } from "node:net";
import { join } from "node:path";

const refuse = (says) => {
  console.error(`  ${says}`);
  process.exit(2);
};

function given(cert, key) {
  if (!cert || !key)
    refuse(
      `A certificate needs its key: --cert FILE and --key FILE. Only ${cert ? "--cert" : "--key"} was given.`,
    );
  const [certificate, secret] = [
    ["certificate", cert],
    ["key", key],
  ].map(([what, path]) => {
    try {
      return readFileSync(path);
    } catch {
      return refuse(`The ${what} ${path} cannot be read.`);
    }
  });
  try {
    if (!new X509Certificate(certificate).checkPrivateKey(createPrivateKey(secret)))
      refuse(`The key ${key} does not belong to the certificate ${cert}.`);
  } catch {
    refuse(`${cert} and ${key} are no certificate and its key, as PEM files without a password.`);
  }
  return { cert: certificate, key: secret };
}

async function own(folder, names) {
  const place = join(folder, "tls");
  const files = { cert: join(place, "shop.crt"), key: join(place, "shop.key") };
  if (!existsSync(files.cert) || !existsSync(files.key)) {
    const { generate } = await import("selfsigned");
    const made = await generate([{ name: "commonName", value: "Demontage, this shop" }], {
      keyType: "ec",
      notAfterDate: new Date(Date.now() + 10 * 365 * 86_400_000),
      extensions: [
        { name: "basicConstraints", cA: true, critical: true },
        {
          name: "subjectAltName",
          altNames: [...new Set([...names, "localhost"])].map((n) =>
            isIP(n) ? { type: 7, ip: n } : { type: 2, value: n },
          ),
        },
      ],
    });
    mkdirSync(place, { recursive: true, mode: 0o700 });
    writeFileSync(files.key, made.private, { mode: 0o600 });
    writeFileSync(files.cert, made.cert, { mode: 0o600 });
    console.log(
      `  A certificate of the shop's own was made: ${files.cert}\n  Trust it once on each tablet, or give one with --cert and --key.`,
    );
  }
  return given(files.cert, files.key);
}

/**
 * The certificate and its key; ends the program with a sentence where what was given is none.
 *
 * @param {{ cert?: string, key?: string, folder: string, names: readonly string[] }} said the files given,
 *   the shop's folder, and the addresses and names that this computer is called by
 * @returns what the server needs, and the name or address to call it by: one that the certificate is for, if
 *   there is one
 */
export async function certificateFor({ cert, key, folder, names }) {
  const shown = cert || key ? given(cert, key) : await own(folder, names);
  const of = new X509Certificate(shown.cert);
  const covered = names.filter((n) => (isIP(n) ? of.checkIP(n) : of.checkHost(n)));
  if (!covered.length)
    console.log(
      `  The certificate is for ${of.subjectAltName ?? of.subject}, and not for this computer as it is called now (${names.join(", ")}): tablets will object. ${
        cert
          ? "Say its name in DEMONTAGE_NAMES."
          : `Remove ${join(folder, "tls")} for a new one, to be trusted anew on each tablet.`
      }`,
    );
  if (new Date(of.validTo) < new Date())
    console.log(`  The certificate is past its last day, ${of.validTo}: tablets will object.`);
  return { ...shown, name: covered[0] ?? names[0] };
}
