/**
 * A reader's preprocessing step: keys that used to have another name are given their present one, so that
 * older files still read. Where both stand there, both are
 * left, and the schema refuses the old one by its name.
 *
 * @param names old name → present name
 */
export const renamed =
  (names: Readonly<Record<string, string>>) =>
  (raw: unknown): unknown =>
    raw !== null && typeof raw === "object" && !Array.isArray(raw)
      ? Object.fromEntries(
          Object.entries(raw).map(([key, value]) => [
            Object.hasOwn(names, key) && !((names[key] ?? "") in raw) ? names[key] : key,
            value,
          ]),
        )
      : raw;
