<script lang="ts">
  import { page } from "$app/state";
  import { tick } from "svelte";
  import { audit } from "$lib/core/audit.ts";
  import { functionOf } from "$lib/core/catalogue/catalogue.ts";
  import { LOCATIONS, type Line } from "$lib/core/formats/auditFile.ts";
  import { pointsFor } from "$lib/core/inspect/points.ts";
  import { lineCondition } from "$lib/core/inspect/quality.ts";
  import { proposeVerdict, VERDICTS, type VerdictId } from "$lib/core/inspect/verdict.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { cautionsFor } from "$lib/words/cautions.ts";
  import { LOCATION_LABEL } from "$lib/words/labels.ts";
  import { number, percent, quantity } from "$lib/words/sentences.ts";
  import { VERDICT_BECAUSE, VERDICT_LABEL } from "$lib/words/verdicts.ts";
  import SizeField from "$lib/ui/SizeField.svelte";
  import DateField from "$lib/ui/DateField.svelte";

  const kit = useKit();
  let byWorth = $state(false);
  let picked = $state<string | null>(null);
  let started = $state<number | null>(null);
  let elapsed = $state(0);

  const order = $derived.by((): readonly Line[] => {
    if (!byWorth) return kit.lines;
    const rank = new Map(kit.worth.map((w, i) => [w.line, i]));
    return [...kit.lines].sort((a, b) => (rank.get(a.id) ?? 1e6) - (rank.get(b.id) ?? 1e6));
  });
  const line = $derived(order.find((l) => l.id === picked) ?? order[0]);
  const at = $derived(line ? order.findIndex((l) => l.id === line.id) : -1);
  const index = $derived(line ? kit.audit.bench.lines.findIndex((l) => l.line.id === line.id) : -1);
  const type = $derived(line?.itemType ? kit.typeOf(line.itemType) : undefined);
  const points = $derived(line ? pointsFor(line.itemType) : []);
  /** Points answered with yes since the item came up; a saved line without them has all answered. */
  let yes = $state<Record<string, string[]>>({});
  const failed = $derived(line?.failedPoints ?? []);
  const answered = $derived(new Set([...(line ? (yes[line.id] ?? []) : []), ...failed]));
  const complete = $derived(line ? lineCondition(line) !== null && !(line.id in yes) : false);
  const nextPoint = $derived(complete ? undefined : points.find((p) => !answered.has(p.id)));
  const proposed = $derived(index >= 0 ? proposeVerdict(kit.audit, index) : null);
  const given = $derived(line ? kit.record?.verdicts[line.id] : undefined);

  /** Coverage if this line is sound and if it fails, all else as it is. */
  const hangs = $derived.by(() => {
    if (!line) return null;
    const withLine = (condition: "sound" | "failed") => {
      const rest = { ...line };
      delete rest.failedPoints;
      const lines = kit.lines.map((l) => (l.id === line.id ? { ...rest, condition } : l));
      return audit({ ...kit.file, kit: { ...kit.file.kit, lines } }, workspace.today).coverage;
    };
    return { sound: withLine("sound"), failed: withLine("failed") };
  });
  const serves = $derived(
    index < 0
      ? []
      : kit.audit.needs.flatMap((n, i) => {
          const p = n.pairs.find((x) => x.pair.line === index);
          return p ? [{ asked: kit.audit.bench.needs[i]!, p, need: n }] : [];
        }),
  );

  function go(step: number) {
    if (order.length === 0) return;
    picked = order[Math.min(order.length - 1, Math.max(0, at + step))]!.id;
    document.getElementById(`bench-${picked}`)?.scrollIntoView({ block: "nearest" });
  }

  function answer(pointId: string, good: boolean) {
    if (!line) return;
    const name = lineName(line, type?.label);
    const saidYes = new Set(
      complete ? points.map((p) => p.id).filter((p) => !failed.includes(p)) : (yes[line.id] ?? []),
    );
    const no = new Set(failed);
    if (good) {
      no.delete(pointId);
      saidYes.add(pointId);
    } else {
      saidYes.delete(pointId);
      no.add(pointId);
    }
    const all = points.every((p) => saidYes.has(p.id) || no.has(p.id));
    yes[line.id] = [...saidYes];
    // A failed point counts at once; a sound verdict only when every point was looked at.
    if (all || no.size > 0)
      kit.updateLine(line.id, `inspect ${name}`, { failedPoints: [...no], condition: undefined });
    if (all) {
      delete yes[line.id];
      if (no.size === 0) go(1);
    }
  }

  /** The usual answer: what is not yet failed is sound; counted as claimed unless counted. */
  function restIsSound() {
    if (!line) return;
    const id = line.id;
    kit.updateLine(id, `inspect ${lineName(line, type?.label)}`, {
      failedPoints: [...failed],
      condition: undefined,
      ...(line.counted === undefined ? { counted: line.claimed } : {}),
    });
    delete yes[id];
    go(1);
  }

  function decide(verdict: VerdictId) {
    if (!line) return;
    const id = line.id;
    kit.update(`verdict: ${VERDICT_LABEL[verdict]}`, (r) => {
      const { [id]: former, ...rest } = r.verdicts;
      return {
        ...r,
        verdicts: former?.verdict === verdict ? rest : { ...rest, [id]: { verdict } },
      };
    });
  }

  function watch() {
    if (!line) return;
    if (started === null) {
      started = performance.now();
      elapsed = 0;
      return;
    }
    elapsed = Math.round((performance.now() - started) / 100) / 10;
    started = null;
    kit.updateLine(line.id, `reach of ${lineName(line, type?.label)}`, { reachS: elapsed });
  }

  async function focus(id: string) {
    await tick();
    const el = document.getElementById(id);
    el?.focus();
    if (el instanceof HTMLInputElement) el.select();
  }

  function nextPlace() {
    if (!line) return;
    const now = line.location ? LOCATIONS.indexOf(line.location) : -1;
    kit.updateLine(line.id, `place of ${lineName(line, type?.label)}`, {
      location: LOCATIONS[(now + 1) % LOCATIONS.length],
    });
  }

  function onKey(e: KeyboardEvent) {
    const inField = (e.target as HTMLElement).closest?.("input, textarea, select");
    if (e.key === "Escape" && inField) {
      (e.target as HTMLElement).blur();
      return;
    }
    if (
      inField ||
      e.ctrlKey ||
      e.metaKey ||
      e.altKey ||
      (e.target as HTMLElement).closest?.("[role=dialog]")
    )
      return;
    const onButton = (e.target as HTMLElement).closest?.("button, a");
    const keys: Record<string, () => unknown> = {
      f: () => nextPoint && answer(nextPoint.id, true),
      d: () => nextPoint && answer(nextPoint.id, false),
      j: () => go(1),
      k: () => go(-1),
      arrowdown: () => go(1),
      arrowup: () => go(-1),
      r: () => decide("replace"),
      x: () => decide("drop"),
      c: () => focus("bench-count"),
      e: () => focus("bench-date"),
      s: () => focus("bench-size"),
      l: nextPlace,
      u: () => workspace.undo(),
      o: () => (byWorth = !byWorth),
      ...(onButton ? {} : { enter: restIsSound, " ": watch }),
    };
    const run = keys[e.key.toLowerCase()];
    if (!run) return;
    e.preventDefault();
    run();
  }
  const severity = { minor: "minor", major: "major", fatal: "fatal" } as const;
  const markOf = (l: Line) => {
    const i = kit.audit.bench.lines.findIndex((b) => b.line.id === l.id);
    if (lineCondition(l) === null) return "unchecked" as const;
    const own = kit.audit.needs.flatMap((n) => n.pairs.filter((p) => p.pair.line === i));
    if (lineCondition(l) === "failed") return "sound" as const;
    if (own.length > 0 && own.every((p) => p.pair.credit.credit === 0)) return "real" as const;
    if (own.length > 0 && own.every((p) => p.fresh === 0)) return "fresh" as const;
    if (own.length > 0 && own.every((p) => p.pair.usable === 0)) return "usable" as const;
    return "pan" as const;
  };
</script>

<svelte:window onkeydown={onKey} />

{#if !line}
  <div class="mx-auto max-w-xl p-8">
    <h1 class="text-3xl">Nothing on the bench yet</h1>
    <p class="mt-2">Read the contents card or add things by hand first.</p>
    <a class="btn btn-main mt-5" href="/kit/{page.params['id']}/unpack">Unpack</a>
  </div>
{:else}
  <div
    class="grid grid-cols-[minmax(0,1fr)] lg:h-full lg:min-h-0 lg:grid-cols-[19rem_minmax(0,1fr)] xl:grid-cols-[19rem_minmax(0,1fr)_16.5rem]"
  >
    <aside class="hidden min-h-0 flex-col border-r border-line bg-sheet lg:flex">
      <div class="flex items-center justify-between gap-2 p-3">
        <h2 class="text-xl">On the bench</h2>
        <button class="btn min-h-9 px-2 py-1 text-sm" onclick={() => (byWorth = !byWorth)}
          >{byWorth ? "most worth checking" : "as packed"} <span class="kbd">O</span></button
        >
      </div>
      <ol class="min-h-0 flex-1 overflow-y-auto">
        {#each order as l (l.id)}
          {@const t = l.itemType ? kit.typeOf(l.itemType) : undefined}
          <li>
            <button
              id="bench-{l.id}"
              class="flex min-h-10 w-full items-center gap-3 border-b border-line px-3 py-2 text-left {l.id ===
              line.id
                ? 'bg-pick text-onpick'
                : 'hover:bg-passbg'}"
              aria-current={l.id === line.id}
              onclick={() => (picked = l.id)}
            >
              <WeaveChip mesh={markOf(l)} size={18} />
              <span class="min-w-0 flex-1 truncate font-semibold">{lineName(l, t?.label)}</span>
              <span class="shrink-0 text-sm"
                >{l.counted === undefined
                  ? (l.claimed ?? "")
                  : `${number(l.counted)} of ${l.claimed ?? number(l.counted)}`}</span
              >
            </button>
          </li>
        {/each}
      </ol>
    </aside>

    <section class="min-w-0 p-4 sm:p-5 lg:min-h-0 lg:overflow-y-auto">
      <p class="text-sm text-soft">
        Item {at + 1} of {order.length}{#if line.text && line.text !== type?.label}{" "}· listed as
          “{line.text}”{/if}
      </p>
      <div class="flex flex-wrap items-end justify-between gap-2">
        <h1 class="text-4xl break-words">{type?.label ?? lineName(line, undefined)}</h1>
        <span class="flex flex-wrap gap-2">
          {#each type?.functions.slice(0, 3) ?? [] as f (f.function)}
            <span class="rounded-xs border border-ink px-2 py-0.5 text-sm font-semibold"
              >{functionOf(f.function)?.label.toLowerCase()}{f.credit < 1
                ? ` ·${f.credit}`
                : ""}</span
            >
          {/each}
        </span>
      </div>

      <div class="mt-3 grid grid-cols-2 gap-2 md:grid-cols-4">
        <div class="sheet p-3">
          <label for="bench-count" class="text-sm text-soft"
            >Counted <span class="kbd">C</span></label
          >
          <NumberField
            id="bench-count"
            label="Counted"
            value={line.counted}
            optional={line.claimed !== undefined}
            width="w-24"
            onvalue={(n) =>
              kit.updateLine(
                line.id,
                `count ${lineName(line, type?.label)}`,
                { counted: n },
                "counted",
              )}
          />
          <p class="text-sm text-soft">of {line.claimed ?? "–"} claimed</p>
        </div>
        <div class="sheet p-3">
          <label for="bench-size" class="text-sm text-soft">Size <span class="kbd">S</span></label>
          <div>
            <SizeField
              id="bench-size"
              {line}
              width="w-full"
              onsize={(mm) =>
                kit.updateLine(line.id, `size of ${lineName(line, type?.label)}`, { sizeMm: mm })}
            />
          </div>
          {#if type?.measure === "millilitre" || type?.measure === "dose"}
            <span class="text-sm text-soft">
              {#if type.measure === "millilitre"}<NumberField
                  label="Millilitres a piece"
                  value={line.volumeMl}
                  optional
                  min={0.1}
                  unit="ml"
                  onvalue={(n) => kit.updateLine(line.id, "volume", { volumeMl: n }, "ml")}
                />
              {:else}<NumberField
                  label="Doses a piece"
                  value={line.dosesPerPiece}
                  optional
                  min={0.1}
                  unit="doses a piece"
                  onvalue={(n) => kit.updateLine(line.id, "doses", { dosesPerPiece: n }, "doses")}
                />{/if}
            </span>
          {/if}
        </div>
        <div class="sheet p-3">
          <label for="bench-date" class="text-sm text-soft">Date <span class="kbd">E</span></label>
          <DateField
            id="bench-date"
            value={line.expires}
            onvalue={(v) =>
              kit.updateLine(line.id, `date of ${lineName(line, type?.label)}`, { expires: v })}
          />
          <p class="text-sm text-soft">
            {line.expires === undefined
              ? type?.dated
                ? "should carry one"
                : "not a dated thing"
              : "good to its last day"}
          </p>
        </div>
        <div class="sheet p-3">
          <label for="bench-place" class="text-sm text-soft">Lies <span class="kbd">L</span></label>
          <select
            id="bench-place"
            class="field w-full font-semibold"
            value={line.location ?? ""}
            onchange={(e) =>
              kit.updateLine(line.id, `place of ${lineName(line, type?.label)}`, {
                location: (e.currentTarget.value || undefined) as Line["location"],
              })}
          >
            <option value="">not noted</option>
            {#each LOCATIONS as l (l)}<option value={l}>{LOCATION_LABEL[l]}</option>{/each}
          </select>
          <p class="text-sm text-soft">
            {line.reachS === undefined ? "reach by place" : `in hand ${number(line.reachS, 1)} s`}
          </p>
        </div>
      </div>

      <div class="sheet mt-3">
        <div class="flex items-center justify-between border-b border-line px-4 py-2">
          <h2 class="text-xl">Look, feel, try</h2>
          <span class="text-sm text-soft"
            >{complete ? points.length : answered.size} of {points.length} · {failed.length === 0
              ? complete
                ? "all sound"
                : "none failed so far"
              : `${failed.length} failed`}</span
          >
        </div>
        <ul>
          {#each points as p (p.id)}
            {@const no = failed.includes(p.id)}
            {@const good = !no && (complete || answered.has(p.id))}
            <li
              class="flex items-center gap-3 border-b border-line px-4 py-2 last:border-b-0 {nextPoint?.id ===
              p.id
                ? 'bg-notebg'
                : ''}"
            >
              <span class="min-w-0 flex-1"
                ><strong class="font-semibold">{p.good}</strong><br /><span
                  class="text-sm text-soft">{p.failing} · {severity[p.severity]}</span
                ></span
              >
              <button
                class="btn min-w-15 px-2 {good ? 'btn-main' : ''}"
                aria-pressed={good}
                onclick={() => answer(p.id, true)}
                >Yes{#if nextPoint?.id === p.id}<span class="kbd">F</span>{/if}</button
              >
              <button
                class="btn min-w-15 px-2 {no ? 'btn-on' : ''}"
                aria-pressed={no}
                onclick={() => answer(p.id, false)}
                >No{#if nextPoint?.id === p.id}<span class="kbd">D</span>{/if}</button
              >
            </li>
          {/each}
        </ul>
      </div>

      <div class="mt-3 flex flex-wrap gap-2">
        <button class="btn btn-main" onclick={restIsSound}
          >{failed.length > 0 ? "The rest is sound" : "All sound"}
          <span class="kbd">Enter</span></button
        >
        <button class="btn" onclick={watch}
          >{started === null ? "Stopwatch" : "In my hand"} <span class="kbd">Space</span></button
        >
        <label class="btn font-normal"
          ><input
            type="checkbox"
            class="size-5"
            checked={line.findable !== false}
            onchange={(e) =>
              kit.updateLine(line.id, "easy to find", {
                findable: e.currentTarget.checked ? undefined : false,
              })}
          />a stranger finds it</label
        >
        {#if type?.medicine}<label class="btn font-normal"
            ><input
              type="checkbox"
              class="size-5"
              checked={line.labelled !== false}
              onchange={(e) =>
                kit.updateLine(line.id, "labelled", {
                  labelled: e.currentTarget.checked ? undefined : false,
                })}
            />name and strength on it</label
          >{/if}
        <span class="self-center text-sm text-soft"
          >next <span class="kbd">J</span> · back <span class="kbd">K</span> · undo
          <span class="kbd">U</span></span
        >
      </div>

      <fieldset class="mt-3">
        <legend class="text-sm font-semibold"
          >Verdict{#if proposed}<span class="font-normal text-soft"
              >: the rules propose “{VERDICT_LABEL[proposed.verdict]}”, as {VERDICT_BECAUSE[
                proposed.because
              ]}</span
            >{/if}</legend
        >
        <div class="mt-1 flex flex-wrap gap-2">
          {#each VERDICTS as v (v)}
            <button
              class="btn min-h-10 px-3 py-1 {given?.verdict === v
                ? 'btn-on'
                : ''} {proposed?.verdict === v && !given ? 'border-2 border-dashed' : ''}"
              aria-pressed={given?.verdict === v}
              onclick={() => decide(v)}
              >{given?.verdict === v ? "✓ " : ""}{VERDICT_LABEL[v]}{#if v === "replace"}<span
                  class="kbd">R</span
                >{/if}{#if v === "drop"}<span class="kbd">X</span>{/if}</button
            >
          {/each}
        </div>
      </fieldset>
      <div class="mt-3 flex gap-2 lg:hidden">
        <button class="btn flex-1" onclick={() => go(-1)} disabled={at <= 0}>Back</button>
        <button class="btn flex-1" onclick={() => go(1)} disabled={at >= order.length - 1}
          >Next</button
        >
      </div>
    </section>

    <aside class="border-l border-line bg-sheet p-4 lg:col-span-2 xl:col-span-1 xl:overflow-y-auto">
      <h2 class="text-xl">What hangs on it</h2>
      {#if serves.length === 0}
        <p class="mt-1 text-sm text-soft">Nothing on the list asks for this.</p>
      {/if}
      <ul class="mt-1">
        {#each serves as s (s.asked.need.id)}
          <li class="py-1 text-sm">
            <span class="flex items-center gap-2"
              ><WeaveChip mesh={s.need.restsOn} size={16} /><strong class="font-semibold"
                >{functionOf(s.asked.need.function)?.label} · {s.asked.tier}</strong
              ></span
            >
            <span class="text-soft"
              >{s.p.units > 0
                ? `gives ${quantity(s.p.units, functionOf(s.asked.need.function)!.unit)} of ${quantity(s.asked.required, functionOf(s.asked.need.function)!.unit)}`
                : "gives nothing to it"}</span
            >
          </li>
        {/each}
      </ul>
      {#if hangs}
        <dl class="mt-2 grid grid-cols-[1fr_auto] gap-y-1 text-sm">
          <dt>coverage if sound</dt>
          <dd class="font-semibold">{percent(hangs.sound)} %</dd>
          <dt>coverage if it fails</dt>
          <dd class="font-semibold">{percent(hangs.failed)} %</dd>
        </dl>
      {/if}
      {#each cautionsFor(line.itemType, kit.brief) as c (c.id)}
        <p class="noted mt-3 text-sm">{c.text}</p>
      {/each}
    </aside>
  </div>
{/if}
