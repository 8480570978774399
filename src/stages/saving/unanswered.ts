import { newKey } from "./new-key";

interface Sent {
  readonly name: string;
  readonly action: unknown;
  readonly input: string;
}

/**
 * So many unanswered sendings are remembered: a screen that types into a shop that is away sends one every
 * few seconds.
 */
const MOST = 200;

/**
 * What a screen sent and had no answer to. It may have been done or not; both are lived with: the same thing
 * sent again bears the same name, so that it is done once, and a change of ours that the screen never heard
 * of is not
 * taken for somebody else's.
 */
export class Unanswered {
  private sent: Sent[] = [];

  /** The name under which to send this: the one it had when it was not answered, or a new one. */
  nameFor(action: unknown, input: string): string {
    return this.sent.find((s) => s.action === action && s.input === input)?.name ?? newKey();
  }

  lost(name: string, action: unknown, input: string): void {
    this.answered(name);
    this.sent = [...this.sent, { name, action, input }].slice(-MOST);
  }

  answered(name: string): void {
    this.sent = this.sent.filter((s) => s.name !== name);
  }

  /**
   * The screen shows the job anew: what was done of it is in sight now, and pressing the same means it anew.
   */
  clear(): void {
    this.sent = [];
  }

  /** Whether all of these changes are our own, done without our hearing of it. */
  explains(changes: readonly { readonly sending?: string | null }[]): boolean {
    return changes.length > 0 && changes.every((c) => this.sent.some((s) => s.name === c.sending));
  }
}
