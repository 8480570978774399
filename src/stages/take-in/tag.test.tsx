import jsQR from "jsqr";
import { renderToStaticMarkup } from "react-dom/server";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import type { Job } from "@/core/job/job";
import { jobNumberFrom } from "@/core/take-in/tag-code";
import { JobTagSheet } from "./job-tag-sheet";

const job = {
  number: "J-0142",
  kind: "masticating juicer",
  maker: "Velbrant",
  model: "Pressa 40",
  variant: "four-rib",
  customerName: "Ilka Morrow",
  takenIn: "2026-11-22",
  complaint: "hums",
  symptoms: ["clicks"],
  looseItems: ["bowl"],
  consent: true,
} as unknown as Job;
const address = "http://192.0.2.7:3000/jobs/J-0142";
const printed = renderToStaticMarkup(<JobTagSheet job={job} address={address} />);

describe("the printed tag", () => {
  it("is read by the scanner: both its codes lead to the job, also when they are photographed small and blurred", async () => {
    const codes = printed.match(/<svg role="img".*?<\/svg>/gs) ?? [];
    expect(codes).toHaveLength(2);
    for (const code of codes) {
      const svg = code
        .replace("<svg", '<svg xmlns="http://www.w3.org/2000/svg"')
        .replace(/style="[^"]*"/, 'width="170" height="170"');
      const { data, info } = await sharp(Buffer.from(svg))
        .flatten({ background: "#ddd8cc" })
        .blur(0.8)
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      const read = jsQR(new Uint8ClampedArray(data), info.width, info.height);
      expect(read?.data).toBe(address);
      expect(jobNumberFrom(read?.data ?? "")).toBe("J-0142");
    }
  });
  it("names no customer, only letters, and lists what came along", () => {
    expect(printed).not.toContain("Morrow");
    expect(printed).toContain(">IM<");
    expect(printed).toContain("bowl");
  });
});
