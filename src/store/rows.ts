/** Between rows (snake_case, JSON as text, 0 and 1) and records (camelCase, values). Only the store knows both. */
type Row = Record<string, unknown>;

/** Column names come back with every row: each is turned once. */
const turned = new Map<string, string>();
function camel(column: string): string {
  let name = turned.get(column);
  if (name === undefined) {
    name = column.replace(/_([a-z])/g, (_, c: string) => c.toUpperCase());
    turned.set(column, name);
  }
  return name;
}
const snake = (s: string): string => s.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);

/** A row as a record: `json` columns parsed, `flags` as booleans, null left out. */
export function fromRow<T>(row: Row, json: readonly string[] = [], flags: readonly string[] = []): T {
  const out: Row = {};
  for (const [column, value] of Object.entries(row)) {
    if (value === null || value === undefined) continue;
    out[camel(column)] = json.includes(column) ? JSON.parse(value as string) : flags.includes(column) ? Boolean(value) : value;
  }
  return out as T;
}

/** A record as a row: objects and arrays become JSON, undefined becomes null. */
export function toRow(record: object): Row {
  const out: Row = {};
  for (const [key, value] of Object.entries(record))
    out[snake(key)] = value === undefined ? null : typeof value === "object" && value !== null ? JSON.stringify(value) : value;
  return out;
}
