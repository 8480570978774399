"use client";

import "./surface.css";
import { FaultPage } from "./fault-page";

/** Where even the layout failed. */
export default function GlobalError({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return (
    <html lang="en" data-theme="day">
      <body>
        <FaultPage reset={reset} digest={error.digest} />
      </body>
    </html>
  );
}
