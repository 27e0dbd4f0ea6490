/**
 * Dependencies point one way (docs/architecture.md): routes, cli, workers, server, state → words,
 * report → data → core; within core the folders form no cycle, formats come last.
 */
const only = (name, from, to, comment) => ({
  name,
  comment,
  severity: "error",
  from: { path: from },
  to: { path: "^src/", pathNot: [from, ...to] },
});
const core = "^src/lib/core/";
const data = "^src/lib/data/";
const words = "^src/lib/words/";
const report = "^src/lib/report/";
const state = "^src/lib/state/";
const workers = "^src/lib/workers/";
const devices = "^src/lib/devices/";
const ui = "^src/lib/ui/";

module.exports = {
  forbidden: [
    { name: "no-cycle", severity: "error", from: {}, to: { circular: true } },
    {
      name: "no-cycle-of-core-folders",
      severity: "error",
      scope: "folder",
      from: { path: "^src/lib/core/" },
      to: { circular: true, path: "^src/lib/core/" },
    },
    only(
      "core-alone",
      core,
      [],
      "The core imports nothing of the project: no data, screen, words.",
    ),
    {
      name: "core-pure",
      severity: "error",
      comment: "No interface, storage or platform code in the core.",
      from: { path: core },
      to: { path: "node_modules/(svelte|@sveltejs|bits-ui|localforage|apexcharts|comlink)/" },
    },
    {
      name: "formats-outermost",
      severity: "error",
      comment: "Formats only read and write: no other folder of the core rests on them.",
      from: { path: "^src/lib/core/(?!formats/)" },
      to: { path: "^src/lib/core/formats/" },
    },
    only("data-on-core", data, [core]),
    only("words-on-core", words, [core, data]),
    only("report-on-words", report, [core, data, words]),
    only("devices-on-core", devices, [core]),
    only("sheets-alone", "^src/lib/sheets/", []),
    only("workers-thin", workers, [core, data, report, "^src/lib/sheets/"]),
    only("state-knows-no-screen", state, [core, data, words, report, workers, devices]),
    only("ui-knows-no-route", ui, [
      ...[core, data, words, report, state, workers, devices],
      "^src/lib/sheets/",
    ]),
    only("server-knows-no-screen", "^src/lib/server/", [core, data, words, report, devices]),
    only("cli-thin", "^src/cli/", [core, data, words, report, "^src/lib/sheets/"]),
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    includeOnly: "^src/",
    exclude: { path: "\\.svelte-kit" },
    enhancedResolveOptions: {
      extensions: [".ts", ".js", ".svelte"],
      conditionNames: ["import", "svelte"],
    },
  },
};
