/** Who may import whom (docs/map.md). A wrong import fails with the sentence in `comment`. */
const layer = (name, from, notTo, comment) => ({
  name,
  severity: "error",
  comment,
  from: { path: from, pathNot: "\\.test\\.tsx?$" },
  to: { path: notTo },
});

module.exports = {
  forbidden: [
    {
      name: "no-circles",
      severity: "error",
      comment: "Two files that need each other are one idea, or there is a third between them.",
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
    {
      name: "no-circles-of-rooms",
      severity: "error",
      comment: "Two folders that need each other are one room, or what both need lies in a third.",
      scope: "folder",
      from: { path: "^src" },
      to: { circular: true, path: "^src" },
    },
    {
      name: "no-circles-of-types",
      severity: "error",
      comment: "Types go one way as well: what both files speak of lies in a third.",
      from: { path: "^(src|demo)" },
      to: { circular: true },
    },
    layer(
      "core-is-pure",
      "^src/core",
      "^src/(?!core)|^demo|^e2e",
      "The core computes: it imports only the core, so that any rule of the trade can be read and tested alone.",
    ),
    {
      name: "core-needs-little",
      severity: "error",
      comment:
        "The core uses Zod and small numeric libraries (fft.js, highs): no React, no Next, no Node, no I/O.",
      from: { path: "^src/core", pathNot: "\\.test\\.ts$" },
      to: {
        dependencyTypes: ["npm", "npm-dev", "core"],
        pathNot: "node_modules/(zod|fft\\.js|highs|earcut|@types/)",
      },
    },
    layer(
      "store-keeps",
      "^src/store",
      "^src/(app|stages|shop|ui|bench|exchange|cli|workers)|^demo",
      "The store keeps: it knows the core and the database, and no screen.",
    ),
    layer(
      "exchange-writes",
      "^src/exchange",
      "^src/(app|stages|shop|ui|bench|store|cli|workers)|^demo",
      "Open formats know the core alone, so that they can be read without a shop.",
    ),
    layer(
      "ui-knows-no-stage",
      "^src/ui",
      "^src/(app|stages|shop|bench|exchange|store|cli|workers)|^demo",
      "A component that knows a stage belongs to that stage.",
    ),
    layer(
      "bench-is-instruments",
      "^src/bench",
      "^src/(app|stages|shop|ui|exchange|store|cli|workers)|^demo",
      "An instrument knows what it reads, not who asks.",
    ),
    layer(
      "the-door-is-before-the-house",
      "^src/door",
      "^src/(app|stages|shop|ui|bench|exchange|cli|workers)|^demo",
      "The door knows the store and the core: who may come in is not a matter of what is shown inside.",
    ),
    layer(
      "nothing-upwards",
      "^src/(stages|shop)",
      "^src/(app|cli|workers)|^demo",
      "Nothing imports upwards: routes load, stages act.",
    ),
    layer(
      "shop-is-not-a-stage",
      "^src/shop",
      "^src/stages",
      "What outlives one job does not know the stages.",
    ),
    {
      name: "stages-stand-alone",
      severity: "error",
      comment:
        "A stage never imports another stage; what both need lies in src/stages/frame, saving or job-view, or below.",
      from: { path: "^src/stages/([^/]+)/" },
      to: { path: "^src/stages/([^/]+)/", pathNot: "^src/stages/(frame|saving|job-view|$1)/" },
    },
    {
      name: "thin-doors",
      severity: "error",
      comment: "The command line is a door to the core, the store and the open formats.",
      from: { path: "^src/cli" },
      to: { path: "^src/(app|stages|shop|ui|bench|workers)" },
    },
    {
      name: "not-found",
      severity: "error",
      comment: "This import leads nowhere.",
      from: {},
      to: { couldNotResolve: true },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
      extensions: [".ts", ".tsx", ".mjs", ".js", ".json"],
    },
  },
};
