"use client";

import { FaultPage } from "./fault-page";

export default function ErrorPage({ error }: { error: Error & { digest?: string } }) {
  return <FaultPage error={error} />;
}
