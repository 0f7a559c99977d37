/** The rings of the architecture. Arrows point inward only. */
const PURE_LIBRARIES = "^node_modules/(zod|yalps|jstat|simple-statistics|ml-levenberg-marquardt)/";
const TESTS = ["[.](test|dbtest|spec)[.]tsx?$", "^core/.*testing[.]ts$"];

/** Folders of a folder, each resting on those before it only. */
const floors = (folder, names) =>
  names.slice(0, -1).map((name, i) => ({
    name: `${name}-rests-on-what-is-below`,
    severity: "error",
    from: { path: `^${folder}/${name}/`, pathNot: TESTS },
    to: { path: `^${folder}/(${names.slice(i + 1).join("|")})/` },
  }));

module.exports = {
  forbidden: [
    {
      name: "core-stays-pure",
      severity: "error",
      comment: "core/ imports nothing of ours outside core/, and from npm only pure libraries.",
      from: { path: "^core/", pathNot: TESTS },
      to: { pathNot: [`^core/`, PURE_LIBRARIES] },
    },
    {
      name: "ground-rests-on-itself",
      severity: "error",
      comment:
        "core/ is built in floors: ground, things, laws, the line, and what stands on it. No arrow points up.",
      from: { path: "^core/ground/", pathNot: TESTS },
      to: { path: "^core/", pathNot: "^core/ground/" },
    },
    {
      name: "things-rest-on-ground",
      severity: "error",
      from: { path: "^core/things/", pathNot: TESTS },
      to: { path: "^core/", pathNot: "^core/(ground|things)/" },
    },
    {
      name: "laws-rest-on-things",
      severity: "error",
      from: { path: "^core/laws/", pathNot: TESTS },
      to: { path: "^core/", pathNot: "^core/(ground|things|laws)/" },
    },
    {
      name: "the-line-rests-on-laws",
      severity: "error",
      from: { path: "^core/formula/", pathNot: TESTS },
      to: { path: "^core/(families|words|run|sums|exchange)/" },
    },
    ...floors("core/formula", [
      "steps",
      "document",
      "walk",
      "scaling",
      "costing",
      "compare",
      "explain",
      "aiming",
    ]),
    {
      name: "data-knows-core-only",
      severity: "error",
      from: { path: "^data/", pathNot: "^data/testing/|[.]dbtest[.]ts$" },
      to: { path: "^(app|server|demo|cli|e2e|speed)/" },
    },
    {
      name: "devices-know-core-only",
      severity: "error",
      comment:
        "The simulated kit is physics and chance: what it shows reaches the kitchen as a real bridge would bring it.",
      from: { path: "^devices/", pathNot: TESTS },
      to: { path: "^(app|data|server|demo|cli|e2e|speed)/" },
    },
    {
      name: "screens-never-see-the-database",
      severity: "error",
      comment:
        "Loaders and actions stand in *.server.ts files: these alone reach data/; a component module may import its types.",
      from: {
        path: "^app/",
        pathNot: "[.]server[.]tsx?$|[.]dbtest[.]ts$",
      },
      to: { path: "^data/", dependencyTypesNot: ["type-only"] },
    },
    {
      name: "screens-take-types-from-the-server",
      severity: "error",
      comment:
        "A route hands on its loader and action from its server file; of all else there a screen sees types only.",
      from: { path: "^app/", pathNot: ["[.]server[.]tsx?$", ...TESTS] },
      to: { path: "^app/.*[.]server[.]tsx?$", dependencyTypesNot: ["type-only", "export"] },
    },
    {
      name: "nothing-imports-app",
      severity: "error",
      from: { pathNot: "^(app|server)/" },
      to: { path: "^app/" },
    },
    {
      name: "workers-use-core-only",
      severity: "error",
      from: { path: "^app/workers/.*(-jobs|[.]worker)[.]ts$" },
      to: { path: "^(app|data|server)/", pathNot: "^app/workers/.*-jobs[.]ts$" },
    },
    {
      name: "no-circles",
      severity: "error",
      comment: "Of types too: what two files need of each other belongs in a third.",
      from: {},
      // What the router writes of a route names its modules, which import it for their types.
      to: { circular: true, viaOnly: { pathNot: "^[.]react-router/|[+]types/" } },
    },
    {
      name: "no-lost-imports",
      severity: "error",
      // The one imports what the build makes, the other what only the benchmark installs.
      from: { pathNot: "^server/index[.]js$|^speed/spreadsheet/" },
      to: { couldNotResolve: true, pathNot: "^(virtual:|\\./\\+types/)" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      conditionNames: ["import", "require", "node", "default", "types"],
      exportsFields: ["exports"],
    },
  },
};
