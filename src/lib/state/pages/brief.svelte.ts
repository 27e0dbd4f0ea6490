import { audit } from "../../core/audit/audit.ts";
import { briefEffect, type AskedChange } from "../../core/brief/briefEffect.ts";
import type { Brief } from "../../core/model/brief.ts";
import { SENSITIVITIES, SKILLS } from "../../core/model/itemType.ts";
import { ACTIVITIES } from "../../data/activities.ts";
import type { BriefPreset } from "../../data/briefPresets.ts";
import { CATALOGUE } from "../../data/catalogue.ts";
import { number, percent } from "../../words/sentences.ts";
import { changesText } from "../../words/things.ts";
import { inSlices } from "../inSlices.ts";
import type { KitState } from "../kit.svelte.ts";
import { newKey } from "../newKey.ts";
import { newBrief } from "../newRecords.ts";
import { Tried } from "../tried.svelte.ts";
import { listNow, listsOffered } from "../lists.ts";
import { workspace } from "../workspace.svelte.ts";

/** The next longer way to care is sought so far ahead: beyond three days no list asks for more. */
const HOURS_LOOKED_AHEAD = 72;
/** Less than what the page would show as 0.1 points is no gain. */
const LEAST_POINTS = 0.05;

/** What another number of people, days or hours would ask for. */
interface OtherStep {
  readonly label: string;
  readonly text: string;
}
/** What other answers would make of the kit: each costs an audit. */
interface Otherwise {
  readonly steps: readonly OtherStep[];
  /** By skill, by sensitivity and by list: "+2.1 points", "" for none. */
  readonly points: ReadonlyMap<string, string>;
}
const NOTHING_YET: Otherwise = { steps: [], points: new Map() };

/** For whom a kit is judged, and what another answer would change. */
export class BriefState {
  readonly kit: KitState;
  /** What other answers are tried on. */
  readonly tried: Tried;
  constructor(kit: KitState) {
    this.kit = kit;
    this.tried = new Tried(kit);
  }
  /** Other kits judged by the same brief. */
  others = $derived.by(
    () => workspace.kits.filter((k) => k.briefId === this.kit.record?.briefId).length - 1,
  );
  /** The next longer way to care at which the list asks for more. */
  #nextHours = $derived.by(() => {
    for (let h = Math.floor(this.tried.file.brief.hoursToCare) + 1; h <= HOURS_LOOKED_AHEAD; h++) {
      const changes = this.effectOf({ hoursToCare: h });
      if (changes.length > 0) return { h, text: changesText(changes, 2) };
    }
    return null;
  });
  /** What one more person, one more day, three days or a longer way would ask for. */
  get steps(): readonly OtherStep[] {
    const { people, days } = this.tried.file.brief;
    const other = (patch: Partial<Brief>) => changesText(this.effectOf(patch), 4);
    return [
      { label: `${people + 1} people`, text: other({ people: people + 1 }) },
      { label: `${days + 1} days`, text: other({ days: days + 1 }) },
      ...(days + 1 < 3 ? [{ label: "3 days", text: other({ days: 3 }) }] : []),
      ...(this.#nextHours
        ? [{ label: `${this.#nextHours.h} hours from care`, text: this.#nextHours.text }]
        : []),
    ];
  }

  /** What the list would ask for under other answers. */
  effectOf(patch: Partial<Brief>): readonly AskedChange[] {
    const { list, houseRules, brief } = this.tried.file;
    return briefEffect(list.needs, houseRules ?? {}, brief, { ...brief, ...patch }, CATALOGUE);
  }
  /** Needs that taking up or leaving an activity would add or drop: "+3". */
  activityEffect(id: string): { sign: string; changes: readonly AskedChange[] } {
    const changes = this.effectOf({ activities: toggled(this.tried.file.brief.activities, id) });
    const added = changes.filter((c) => c.from === 0).length;
    const dropped = changes.filter((c) => c.to === 0).length;
    return { sign: added > 0 ? `+${added}` : dropped > 0 ? `−${dropped}` : "", changes };
  }
  /** Coverage gained by another answer that changes what can be used, in points; "" for none. */
  pointsIf(patch: Partial<Brief>): string {
    const { file } = this.tried;
    const other = workspace.settled({ ...file, brief: { ...file.brief, ...patch } });
    const then = audit(other, workspace.today, CATALOGUE);
    const gain = ((then.coverage ?? 0) - (this.tried.audit.coverage ?? 0)) * 100;
    if (Math.abs(gain) < LEAST_POINTS) return "";
    return `${gain > 0 ? "+" : "−"}${number(Math.abs(gain), 1)} points`;
  }

  /** As it was worked out last; while it is worked out anew that stays. */
  otherwise = $state.raw<Otherwise>(NOTHING_YET);
  /** For an effect of the page: works out what other answers would change, in slices. Gives what stops it. */
  askOtherwise(): () => void {
    const { brief, list } = this.tried.file;
    const points = new Map<string, string>();
    let steps: readonly OtherStep[] = [];
    const gain = (key: string, patch: Partial<Brief>) => () =>
      points.set(key, this.pointsIf(patch));
    const tasks: readonly (() => unknown)[] = [
      () => (steps = this.steps),
      ...SKILLS.filter((s) => s !== brief.skill).map((skill) => gain(skill, { skill })),
      ...SENSITIVITIES.map((s) => gain(s, { sensitivities: toggled(brief.sensitivities, s) })),
      ...listsOffered()
        .filter((l) => l.id !== list.id)
        .map((l) => () => points.set(l.id, this.verdictBy(l.id))),
    ];
    function* oneByOne() {
      for (const task of tasks) yield task();
    }
    return inSlices(oneByOne(), () => (this.otherwise = { steps, points }));
  }
  /** Coverage and grade this kit would have against another list; "" for its own. */
  verdictBy(id: string): string {
    const { file } = this.tried;
    const other = listNow(id);
    if (!other || id === file.list.id || file.kit.lines.length === 0) return "";
    const a = audit(workspace.settled({ ...file, list: other }), workspace.today, CATALOGUE);
    return ` · ${percent(a.coverage)} %, ${a.grade ?? "asks for nothing here"}`;
  }

  useBrief(id: string): void {
    this.kit.update("use another brief", (r) => ({ ...r, briefId: id }));
  }
  /** This kit's own copy of a brief that other kits share. */
  ownBrief(): void {
    const { record, briefRecord } = this.kit;
    if (!record || !briefRecord) return;
    const copy = { ...newBrief(newKey()), brief: briefRecord.brief };
    workspace.edit("a brief of its own", [copy, { ...record, briefId: copy.id }]);
  }
  /** Takes over the answers of a kind of outing, and its list; a title that was given stays. */
  start(preset: BriefPreset): void {
    const { record, briefRecord } = this.kit;
    if (!record || !briefRecord) return;
    const title = briefRecord.brief.title || preset.title;
    const list = listNow(preset.list);
    workspace.edit(`start from ${preset.title}`, [
      { ...briefRecord, brief: { ...briefRecord.brief, ...preset.brief, title } },
      list ? { ...record, list } : record,
    ]);
  }
  toggleActivity(id: string, label: string): void {
    const activities = toggled(this.kit.brief.activities, id);
    this.kit.updateBrief(`activity: ${label}`, { activities });
  }
  /** Answers what an activity raises; the same answer again takes it back. */
  answerAsked(asker: string, answer: string): void {
    const others = ACTIVITIES.filter((x) => x.answers === asker && x.id !== answer).map(
      (x) => x.id,
    );
    const kept = this.kit.brief.activities.filter((x) => !others.includes(x));
    this.kit.updateBrief("which method is taught", { activities: toggled(kept, answer) });
  }
  nameKit(name: string): void {
    this.kit.update("name the kit", (r) => ({ ...r, kit: { ...r.kit, name } }), "name");
  }
  setLimit(limit: keyof Brief["limits"], label: string, n: number | undefined): void {
    const limits = { ...this.kit.brief.limits, [limit]: n };
    this.kit.updateBrief(label, { limits }, limit);
  }
  /** In the currency it was given in, else the one set; undefined takes the price away. */
  setPricePaid(n: number | undefined): void {
    this.kit.update(
      "price paid",
      (r) => {
        const { price, ...rest } = r.kit;
        const currency = price?.currency ?? workspace.settings.currency;
        return { ...r, kit: n === undefined ? rest : { ...rest, price: { amount: n, currency } } };
      },
      "price",
    );
  }
}

/** With x where it was missing, without it where it was there. */
export const toggled = <T>(list: readonly T[], x: T): T[] =>
  list.includes(x) ? list.filter((y) => y !== x) : [...list, x];
