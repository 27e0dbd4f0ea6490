import type { Audit } from "../core/audit/audit.ts";
import { isWhole } from "../core/base/tolerance.ts";
import { kitLoad } from "../core/bag/load.ts";
import type { EventKind } from "../core/model/event.ts";
import { paddingOf } from "../core/count/padding.ts";
import type { Action } from "../core/plan/actions.ts";
import { CATEGORY_LABEL } from "./labels.ts";
import { faultOf } from "./reasons.ts";
import { grams, money, needLabel, number, percent } from "./sentences.ts";

/** The verdict as a reviewer would publish it: one line, and a paragraph made from the facts. */

/** What a verdict knows beyond the audit. */
export interface VerdictMatter {
  readonly plan: {
    readonly actions: readonly Action[];
    readonly price: number;
    readonly currency: string;
    readonly gradeAfter: string;
    readonly coverageAfter: number;
    readonly unmet: readonly { readonly need: string; readonly met: number }[];
  } | null;
  /** The plan is still being worked out. */
  readonly pending?: boolean;
  /** The same list filled from an empty bag; null: not worked out. */
  readonly buildOwn: { readonly price: number; readonly massG: number } | null;
}

const NUMBER_WORDS = [
  "no",
  "one",
  "two",
  "three",
  "four",
  "five",
  "six",
  "seven",
  "eight",
  "nine",
  "ten",
  "eleven",
  "twelve",
];
const inWords = (n: number): string => NUMBER_WORDS[n] ?? String(n);

/** A kit that leaves more than half of one's own to be bought brings too little to start from. */
const MOST_OF_OWN = 0.5;

/** Events that a kit has which somebody carries: it is on no shop's shelf to be left there. */
const IN_SERVICE: ReadonlySet<EventKind> = new Set([
  "used",
  "put-back",
  "carried",
  "sealed",
  "handed-over",
  "plan-done",
]);
const notThisOne = (a: Audit): string =>
  a.context.audit.events?.some((e) => IN_SERVICE.has(e.kind))
    ? "Do not carry it as it is, for this brief"
    : "Leave it on the shelf, for this brief";

/** "Carry it", "Carry it after these five purchases", "Leave it on the shelf", for this brief. */
export function carryLine(a: Audit, { plan, buildOwn, pending }: VerdictMatter): string {
  if (a.grade === null) return "Nothing to judge: the list asks for nothing under this brief.";
  if (a.grade === "Ready")
    return a.gradeInterval?.[0] === "Ready"
      ? "Carry it, for this brief."
      : "Carry it, for this brief, once what is taken on trust here has been checked.";
  if (pending) return "Not ready as it is; what would make it so is still being worked out.";
  if (plan?.gradeAfter !== "Ready") return `${notThisOne(a)}.`;
  const bought = plan.actions.filter((x) => "product" in x).length;
  if (bought === 0) return "Carry it, for this brief, after what is done below without buying.";
  if (buildOwn && plan.price > MOST_OF_OWN * buildOwn.price)
    return `${notThisOne(a)}: to make it ready takes ${bought === 1 ? "a purchase" : `${inWords(bought)} purchases`} for ${money(plan.price, plan.currency)}, an empty bag filled by the same list ${money(buildOwn.price, plan.currency)}.`;
  return `Carry it, for this brief, after ${bought === 1 ? "this one purchase" : `these ${inWords(bought)} purchases`} (${money(plan.price, plan.currency)}).`;
}

/** So much of a category or the whole is called well covered: the core tier's own pass mark. */
const WELL = 0.8;
/** Faults named in the paragraph; the table below has them all. */
const FAULTS_NAMED = 3;
const NAMED = 3;
/** From a fifth of all pieces on, a kind of padding is worth a word. */
const MUCH = 0.2;
/** A printed mass that differs by less may be the bag or the scale. */
const MASS_DIFFERS = 0.1;

/** What it is for, what it does well, what holds it back, what it is made of, what to do. */
export function verdictProse(a: Audit, m: VerdictMatter): string[] {
  if (a.grade === null) return [];
  return [whatFor(a), doesWell(a), heldBack(a), madeOf(a), whatToDo(a, m)].filter(Boolean);
}

function whatFor(a: Audit): string {
  const { brief, kit, list } = a.context.audit;
  const people = brief.people === 1 ? "one person" : `${inWords(brief.people)} people`;
  const days = brief.days === 1 ? "a day" : `${inWords(brief.days)} days`;
  const care =
    brief.hoursToCare === 0
      ? "with care at hand"
      : `${number(brief.hoursToCare, 1)} ${brief.hoursToCare === 1 ? "hour" : "hours"} from care`;
  return `“${kit.name}” was held against “${list.title}” for ${people}, ${days}, ${care}.`;
}

function doesWell(a: Audit): string {
  const good = a.categories
    .filter((c) => c.coverage >= WELL)
    .sort((x, y) => y.coverage - x.coverage)
    .slice(0, NAMED);
  if (good.length === 0) return "There is nothing that it covers well.";
  const onTrust = good.filter((c) => c.interval[0] < WELL).length;
  const names = good.map((c) => CATEGORY_LABEL[c.id].toLowerCase());
  const trust =
    onTrust === 0
      ? ""
      : onTrust === good.length
        ? ", so far on trust"
        : ", in part so far on trust";
  return `It covers ${andList(names)} well${trust}.`;
}

function heldBack(a: Audit): string {
  const losses = a.needs
    .map((n, i) => ({ i, loss: a.context.needs[i]!.weight * (1 - n.met), met: n.met }))
    .filter((x) => !isWhole(x.met))
    .sort((x, y) => y.loss - x.loss || x.i - y.i);
  if (losses.length === 0) return "Nothing holds it back.";
  const named = losses.slice(0, FAULTS_NAMED).map(({ i }) => faultOf(a, i));
  const more = losses.length - named.length;
  return `What holds it back most: ${named.join(" ")}${more > 0 ? ` ${capital(inWords(more))} other ${more === 1 ? "need is" : "needs are"} met in part or not at all.` : ""}`;
}

function madeOf(a: Audit): string {
  const { claimed, counted, serving } = a.value;
  if (counted === 0) return "There are no pieces in it.";
  const padding = paddingOf(a);
  const kinds = [
    padding.smallPlasters >= MUCH ? `${percent(padding.smallPlasters)} % are small plasters` : "",
    padding.wipes >= MUCH ? `${percent(padding.wipes)} % are wipes and swabs` : "",
    padding.serveNothing >= MUCH
      ? `the list does not ask for ${percent(padding.serveNothing)} %`
      : "",
  ].filter(Boolean);
  const claim =
    claimed !== counted
      ? ` The card says ${number(claimed)} pieces; ${number(counted)} are there or claimed.`
      : "";
  const printed = a.context.audit.kit.claims.massG;
  const own = kitLoad(a.context.audit, a.context.catalogue).massG;
  const mass =
    printed !== undefined && Math.abs(printed - own) > MASS_DIFFERS * printed
      ? ` ${grams(printed)} are printed on it; its contents come to about ${grams(own)}.`
      : "";
  return `Of ${number(counted)} pieces, ${number(serving)} do a job on the list${kinds.length > 0 ? `: ${andList(kinds)}` : ""}.${claim}${mass}`;
}

function whatToDo(a: Audit, { plan, buildOwn, pending }: VerdictMatter): string {
  if (pending) return "";
  if (!plan) return a.grade === "Ready" ? "" : "No purchase in the price book makes it ready.";
  const bought = plan.actions.filter((x) => "product" in x);
  const free = plan.actions.filter((x) => x.kind === "move" || x.kind === "drop").length;
  const brought = plan.actions.filter((x) => x.kind === "bring").length;
  const steps = [
    bought.length > 0
      ? `buy ${bought
          .slice(0, NAMED)
          .map((x) => ("product" in x ? x.product.title : ""))
          .join(
            "; ",
          )}${bought.length > NAMED ? `; and ${inWords(bought.length - NAMED)} more` : ""}, for ${money(plan.price, plan.currency)}`
      : "",
    free > 0 ? `move or take out ${inWords(free)} ${free === 1 ? "thing" : "things"}` : "",
    brought > 0
      ? `have ${brought === 1 ? "one thing" : `${inWords(brought)} things`} brought or renewed by the person it belongs to`
      : "",
  ].filter(Boolean);
  const after =
    steps.length === 0
      ? "There is nothing to do"
      : `To do: ${andList(steps)}; it is then ${plan.gradeAfter.toLowerCase()} at ${number(plan.coverageAfter * 100, 1)} %`;
  const unmet =
    plan.unmet.length === 0
      ? ""
      : ` Still short after it: ${andList(plan.unmet.slice(0, NAMED).map((u) => labelOf(a, u.need)))}${plan.unmet.length > NAMED ? ` and ${inWords(plan.unmet.length - NAMED)} more` : ""}.`;
  const own = buildOwn
    ? ` From an empty bag the same list costs ${money(buildOwn.price, plan.currency)} and weighs ${grams(buildOwn.massG)}.`
    : "";
  return `${after}.${unmet}${own}`;
}

const labelOf = (a: Audit, id: string): string =>
  needLabel(a.context.needs.find((n) => n.need.id === id)?.need.function ?? id).toLowerCase();
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "a, b and c". */
const andList = (items: readonly string[]): string =>
  items.length < 2 ? (items[0] ?? "") : `${items.slice(0, -1).join(", ")} and ${items.at(-1)}`;
