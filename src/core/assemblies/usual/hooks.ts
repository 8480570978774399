import type { Assembly } from "../../job/assembly";

/** Hooks. */
export const hooks: Assembly = {
  id: "hooks",
  says: "hooks",
  when: { joints: ["hooks"] },
  adds: [{ act: "mind", moment: "before", says: "Hooks first, then swing it down." }],
  source: "usual practice",
};
