/** Called once, when a server of this program begins. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs" || process.env.NEXT_PHASE === "phase-production-build") return;
  const { begin } = await import("./shop/state/begin");
  await begin();
}
