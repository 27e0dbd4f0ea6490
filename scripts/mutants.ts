/**
 * Mutation check of the heart of the core: changes one thing at a time in core/sieve, core/score and
 * core/plan, runs the tests that should notice, and lists the changes that nobody noticed.
 *
 *   npm run mutants                    a sample of each folder, and the named ones
 *   npm run mutants -- --all           every mutant that can be made
 *   npm run mutants -- --seed 7 --per 20 --only sieve
 *   npm run mutants -- --all --only sieve --file sift     of one file
 *
 * How near and how long is not changed: the numbers of tolerances, times and the solver's own options, and whether a
 * value at exactly a tolerance is in or out. Any other change that cannot matter (it only makes the search slower) counts as a
 * survivor too: the share is a floor.
 */
import { spawn } from "node:child_process";
import {
  cpSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from "node:fs";
import { join, resolve } from "node:path";
import ts from "typescript";

interface Mutant {
  readonly file: string;
  readonly from: number;
  readonly to: number;
  readonly text: string;
  readonly what: string;
}

/** Tests that look at a folder, the quickest first. */
const TESTS: Readonly<Record<string, readonly string[]>> = {
  sieve: [
    "meshes",
    "shareOut",
    "audits",
    "scores",
    "bag",
    "trial",
    "trade",
    "reference",
    "properties",
  ],
  score: ["scores", "audits", "meshes", "inspect", "compare", "shown", "sums", "trade"],
  plan: [
    "planParts",
    "planProgramme",
    "planCuts",
    "prices",
    "money",
    "scores",
    "compare",
    "carry",
    "lasting",
    "shareOut",
    "trade",
    "planLimits",
    "planHard",
    "plan",
    "planShown",
    "planWishes",
    "places",
    "planForbid",
    "planPacks",
    "planLate",
    "planTryAll",
    "frontier",
  ],
};
const WORKERS = 2;
/** A mutant that runs for ever is noticed. */
const LONGEST_MS = 120_000;

const arg = (name: string): string | undefined => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? undefined : (process.argv[at + 1] ?? "");
};
const all = process.argv.includes("--all");
const perFolder = Number(arg("per") ?? "40");
const only = arg("only");
const fileAsked = arg("file") ?? "";
let state = Number(arg("seed") ?? "1");
const random = (): number => {
  // mulberry32: the same sample for the same seed
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

const SWAPS = new Map<ts.SyntaxKind, string>([
  [ts.SyntaxKind.LessThanToken, "<="],
  [ts.SyntaxKind.LessThanEqualsToken, "<"],
  [ts.SyntaxKind.GreaterThanToken, ">="],
  [ts.SyntaxKind.GreaterThanEqualsToken, ">"],
  [ts.SyntaxKind.PlusToken, "-"],
  [ts.SyntaxKind.MinusToken, "+"],
  [ts.SyntaxKind.AsteriskToken, "/"],
  [ts.SyntaxKind.SlashToken, "*"],
  [ts.SyntaxKind.AmpersandAmpersandToken, "||"],
  [ts.SyntaxKind.BarBarToken, "&&"],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, "!=="],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, "==="],
  [ts.SyntaxKind.PlusEqualsToken, "-="],
  [ts.SyntaxKind.MinusEqualsToken, "+="],
]);
const CALLS: Readonly<Record<string, string>> = {
  min: "max",
  max: "min",
  ceil: "floor",
  floor: "ceil",
};

/** What says how near is near enough, or how long is long enough; a yes-or-no is above a half, never at it. */
const NEAR_OR_LONG =
  /\b[A-Z_]*(?:TOLERANCE|SLACK)\b|\b(?:(?:TIME|POINT)_LIMIT|MOMENT|TIES|BACK)_S\b|\bOPTIONS\b|\bforMs\b|\bMOST_(?:CUTS|AT_ONCE|LOOKED_AT)\b|\b(?:0\.5|\d(?:\.\d+)?e-\d+)\b/;
const IS_NEAR_OR_LONG = new RegExp(`^(?:${NEAR_OR_LONG.source})$`);
const COMPARES: ReadonlySet<ts.SyntaxKind> = new Set([
  ts.SyntaxKind.LessThanToken,
  ts.SyntaxKind.LessThanEqualsToken,
  ts.SyntaxKind.GreaterThanToken,
  ts.SyntaxKind.GreaterThanEqualsToken,
]);

function mutantsOf(file: string): Mutant[] {
  const source = readFileSync(file, "utf8");
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true);
  const found: Mutant[] = [];
  const add = (node: ts.Node, text: string): void => {
    const { line } = tree.getLineAndCharacterOfPosition(node.getStart(tree));
    const what = `${file}:${line + 1}  ${node.getText(tree).slice(0, 50).replace(/\s+/g, " ")}  →  ${text.slice(0, 50).replace(/\s+/g, " ")}`;
    found.push({ file, from: node.getStart(tree), to: node.getEnd(), text, what });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node))
      return;
    if (ts.isVariableDeclaration(node) && NEAR_OR_LONG.test(node.name.getText(tree))) return;
    if (ts.isBinaryExpression(node)) {
      const { kind } = node.operatorToken;
      const other = SWAPS.get(kind);
      const isWithin = COMPARES.has(kind) && NEAR_OR_LONG.test(node.getText(tree));
      // 100 times a tolerance is one.
      const scales =
        !COMPARES.has(kind) &&
        [node.left, node.right].some((side) => IS_NEAR_OR_LONG.test(side.getText(tree)));
      if (scales) return;
      if (other && !isWithin) add(node.operatorToken, other);
    } else if (ts.isConditionalExpression(node))
      add(
        node,
        `${node.condition.getText(tree)} ? ${node.whenFalse.getText(tree)} : ${node.whenTrue.getText(tree)}`,
      );
    else if (ts.isIfStatement(node)) add(node.expression, `!(${node.expression.getText(tree)})`);
    else if (node.kind === ts.SyntaxKind.TrueKeyword) add(node, "false");
    else if (node.kind === ts.SyntaxKind.FalseKeyword) add(node, "true");
    else if (ts.isNumericLiteral(node) && !NEAR_OR_LONG.test(node.getText(tree)))
      add(node, String(Number(node.text) === 0 ? 1 : Number(node.text) * 2));
    else if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) add(node, ";");
    else if (
      ts.isPropertyAccessExpression(node) &&
      node.expression.getText(tree) === "Math" &&
      CALLS[node.name.text]
    )
      add(node.name, CALLS[node.name.text]!);
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return found;
}

/** Changes that have survived before, each by the words that it changes. */
const NAMED: readonly (readonly [string, string, string])[] = [
  ["plan/forbid.ts", "upper - at + 1],", "upper - at],"],
  ["plan/planModel.ts", "  servedFirst({ model, follows, arcs, needs: c.context.needs });", ""],
  ["score/grade.ts", "value < lowest.value - SHARE_TOLERANCE", "value < lowest.value"],
  ["base/tolerance.ts", "value >= asked - SHARE_TOLERANCE", "value >= asked"],
  ["plan/search.ts", "[lightest, fewestProducts]", "[fewestProducts]"],
  ["plan/priceList.ts", ".slice(-MOST_HISTORY)", ""],
  ["sieve/usable.ts", 'c !== "sting" && ', ""],
  ["card/toLines.ts", "const DOUBTFUL_BELOW = 0.9;", "const DOUBTFUL_BELOW = 0.5;"],
  ["card/mergeCard.ts", "record.kit.lines.filter(isTouched)", "record.kit.lines"],
  ["card/isTouched.ts", "line.counted !== undefined ||", ""],
];
const TESTS_OF_NAMED: Readonly<Record<string, readonly string[]>> = {
  ...TESTS,
  base: ["scores", "meshes", "audits"],
  card: ["mergeCard", "card"],
};

const folderOf = (file: string) => /core\/(\w+)\//.exec(file)![1]!;

function chosen(): Mutant[] {
  const sample: Mutant[] = [];
  for (const folder of Object.keys(TESTS)) {
    if (only && only !== folder) continue;
    const dir = `src/lib/core/${folder}`;
    const found = readdirSync(dir)
      .filter((f) => f.includes(fileAsked))
      .flatMap((f) => mutantsOf(join(dir, f)));
    if (all) sample.push(...found);
    else
      for (let i = 0; i < perFolder && found.length > 0; i++)
        sample.push(...found.splice(Math.floor(random() * found.length), 1));
  }
  if (!only && !fileAsked)
    for (const [name, before, after] of NAMED) {
      const file = `src/lib/core/${name}`;
      const from = readFileSync(file, "utf8").indexOf(before);
      if (from < 0)
        throw new Error(`${file} has no '${before}': bring the named mutant up to date`);
      sample.push({
        file,
        from,
        to: from + before.length,
        text: after,
        what: `${file}  ${before.trim()}  →  ${after || "(gone)"}`,
      });
    }
  return sample;
}

function place(k: number): string {
  const root = resolve(`.tmp/mutants/${k}`);
  rmSync(root, { recursive: true, force: true });
  mkdirSync(root, { recursive: true });
  for (const dir of ["src", "tests", "bench", "scripts", ".svelte-kit"])
    cpSync(dir, join(root, dir), { recursive: true });
  for (const f of ["package.json", "tsconfig.json"]) cpSync(f, join(root, f));
  symlinkSync(resolve("node_modules"), join(root, "node_modules"));
  return root;
}

/** Whether a test fails, or none ends in time. */
function noticed(root: string, tests: readonly string[]): Promise<boolean> {
  const files = tests.map((t) => `tests/unit/${t}.test.ts`);
  return new Promise((answer) => {
    const run = spawn(
      process.execPath,
      [
        "--import",
        "tsx",
        "node_modules/mocha/bin/mocha.js",
        "--bail",
        "--timeout",
        "30000",
        ...files,
      ],
      {
        cwd: root,
        stdio: "ignore",
        env: { ...process.env, TZ: "UTC" },
        timeout: LONGEST_MS,
        // A loop that never ends hears no gentler signal.
        killSignal: "SIGKILL",
      },
    );
    run.on("close", (code) => answer(code !== 0));
  });
}

// Tests that fail without any change would notice everything.
const sound = place(0);
for (const [folder, tests] of Object.entries(TESTS_OF_NAMED))
  if (await noticed(sound, tests)) throw new Error(`the tests of ${folder} fail as they are`);

const queue = chosen();
const survivors: Mutant[] = [];
const killed = new Map<string, [number, number]>();
let done = 0;
const total = queue.length;
await Promise.all(
  Array.from({ length: WORKERS }, async (_, k) => {
    const root = place(k);
    for (let m = queue.shift(); m; m = queue.shift()) {
      const source = readFileSync(m.file, "utf8");
      writeFileSync(join(root, m.file), source.slice(0, m.from) + m.text + source.slice(m.to));
      const folder = folderOf(m.file);
      const seen = await noticed(root, TESTS_OF_NAMED[folder]!);
      writeFileSync(join(root, m.file), source);
      const [was, of] = killed.get(folder) ?? [0, 0];
      killed.set(folder, [was + Number(seen), of + 1]);
      if (!seen) {
        survivors.push(m);
        process.stderr.write(`survives  ${m.what}\n`);
      }
      done++;
      if (done % 10 === 0)
        process.stderr.write(`${done} of ${total}, ${survivors.length} survive\n`);
    }
  }),
);
rmSync(".tmp/mutants", { recursive: true, force: true });
for (const m of survivors) console.log(`survives  ${m.what}`);
for (const [folder, [n, of]] of killed)
  console.log(`${folder.padEnd(8)} ${n} of ${of} noticed, ${((100 * n) / of).toFixed(0)} %`);
const noticedInAll = total - survivors.length;
console.log(`${noticedInAll} of ${total} noticed, ${((100 * noticedInAll) / total).toFixed(0)} %`);
