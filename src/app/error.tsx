"use client";

import { FaultPage } from "./fault-page";

export default function ErrorPage({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return <FaultPage reset={reset} digest={error.digest} />;
}
