// Mocha's spec output for people, and its counts as JSON for the closing line.
const { writeFileSync } = require("node:fs");
const Mocha = require("mocha");

module.exports = class Both extends Mocha.reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    runner.on("end", () => {
      const { passes, failures, pending } = runner.stats;
      const { output } = options.reporterOptions ?? {};
      if (output) writeFileSync(output, JSON.stringify({ passes, failures, pending }));
    });
  }
};
