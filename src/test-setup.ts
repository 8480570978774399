import { vi } from "vitest";
import { passFor } from "./door/pass";
import { AT_HOME } from "./door/presence";

// tests of actions are at the shop's own computer: the guard would have given their requests this pass
vi.mock("next/headers", () => ({
  headers: async () => new Headers({ "x-demontage-pass": passFor(AT_HOME) }),
}));
