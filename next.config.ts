import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: [
    "better-sqlite3",
    "knex",
    "sharp",
    "highs",
    "@jscad/modeling",
    "@jscad/svg-serializer",
    "@jscad/dxf-serializer",
    "@jscad/stl-serializer",
  ],
  poweredByHeader: false,
  // the shop's own machine or its own network: packing a page takes longer than sending it
  compress: false,
  devIndicators: false,
  // npm test has checked the types before it builds: once is enough
  typescript: { ignoreBuildErrors: process.env.DEMONTAGE_TYPES_CHECKED === "1" },
  // a picture of 25 MB and its form around it
  experimental: { proxyClientMaxBodySize: "30mb" },
};

export default config;
