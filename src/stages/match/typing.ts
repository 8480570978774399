/** What is half said in a panel, by field, and how it is said further. */
export interface Typing {
  readonly typed: Readonly<Record<string, string>>;
  readonly put: (field: string, text: string) => void;
  readonly clear: () => void;
}
