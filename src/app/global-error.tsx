"use client";

import "./surface.css";
import { FaultPage } from "./fault-page";

/** Where even the layout failed. */
export default function GlobalError({ error }: { error: Error & { digest?: string } }) {
  return (
    <html lang="en" data-theme="day">
      <body>
        <FaultPage error={error} />
      </body>
    </html>
  );
}
