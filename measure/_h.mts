import { writeFileSync } from "node:fs";
import { serveBuilt, stop } from "../scripts/serve-built";

const server = await serveBuilt(4777, "/tmp/t/profdata");
for (const p of ["strip", "judge", "take-in", "hand-back"]) {
  const h = await (await fetch("http://localhost:4777/jobs/J-0001/" + p)).text();
  const flight = [...h.matchAll(/<script>self\.__next_f\.push\([\s\S]*?<\/script>/g)].map((m) => m[0]);
  const fl = flight.reduce((a, b) => a + b.length, 0);
  const head = h.indexOf("</head>");
  console.log(p, "total", h.length, "flight", fl, "n", flight.length, "head", head);
  writeFileSync(`/tmp/t/${p}.html`, h);
}
await stop(server);
