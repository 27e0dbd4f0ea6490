<script lang="ts">
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import { page } from "$app/state";
  import { tick } from "svelte";
  import { LOCATIONS } from "$lib/core/model/location.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { parseGs1 } from "$lib/core/count/gs1.ts";
  import { pointsFor } from "$lib/core/inspect/points.ts";
  import { lineCondition } from "$lib/core/inspect/quality.ts";
  import { proposeVerdict, VERDICTS } from "$lib/core/audit/verdict.ts";
  import { wedge, withoutDoubles } from "$lib/devices/scanner.ts";
  import { lineName, useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import WeaveChip from "$lib/ui/WeaveChip.svelte";
  import { day, number } from "$lib/words/sentences.ts";
  import { VERDICT_KEY } from "$lib/words/verdicts.ts";
  import Beside from "./Beside.svelte";
  import { inOrder, ORDER_LABEL, ORDERS, type Order } from "./benchOrder.ts";
  import Facts from "./Facts.svelte";
  import Points from "./Points.svelte";
  import Stopwatch from "./Stopwatch.svelte";
  import VerdictPicker from "./VerdictPicker.svelte";

  const kit = useKit();
  let orderBy = $state<Order>("packed");
  let picked = $state<string | null>(page.url.hash.slice(1) || null);
  let stopwatch = $state<Stopwatch>();
  let picker = $state<VerdictPicker>();
  let beside = $state<Beside>();

  const order = $derived(
    inOrder(
      kit.lines,
      orderBy,
      kit.typeOf,
      orderBy === "worth" ? kit.worth.map((w) => w.line) : [],
    ),
  );
  const line = $derived(order.find((l) => l.id === picked) ?? order[0]);
  const at = $derived(line ? order.findIndex((l) => l.id === line.id) : -1);
  const index = $derived(line ? kit.audit.bench.lines.findIndex((l) => l.line.id === line.id) : -1);
  const type = $derived(line?.itemType ? kit.typeOf(line.itemType) : undefined);
  const name = $derived(line ? lineName(line, type?.label) : "");
  const points = $derived(line ? pointsFor(line.itemType, CATALOGUE) : []);
  const failed = $derived(line?.failedPoints ?? []);
  const answered = $derived(new Set([...(line?.okPoints ?? []), ...failed]));
  const complete = $derived(
    line ? lineCondition(line, CATALOGUE) !== null && !line.okPoints : false,
  );
  const nextPoint = $derived(complete ? undefined : points.find((p) => !answered.has(p.id)));
  const proposed = $derived(index >= 0 ? proposeVerdict(kit.audit, index) : null);
  const given = $derived(line ? kit.record?.verdicts[line.id] : undefined);

  const nextOrder = () => (orderBy = ORDERS[(ORDERS.indexOf(orderBy) + 1) % ORDERS.length]!);

  function go(step: number) {
    if (order.length === 0) return;
    picked = order[Math.min(order.length - 1, Math.max(0, at + step))]!.id;
    document.getElementById(`bench-${picked}`)?.scrollIntoView({ block: "nearest" });
  }

  /** One point answered, saved at once; the inspection is finished when every point is. */
  function answer(pointId: string, good: boolean) {
    if (!line) return;
    const ok = new Set(
      complete ? points.map((p) => p.id).filter((p) => !failed.includes(p)) : (line.okPoints ?? []),
    );
    const no = new Set(failed);
    if (good) {
      no.delete(pointId);
      ok.add(pointId);
    } else {
      ok.delete(pointId);
      no.add(pointId);
    }
    const all = points.every((p) => ok.has(p.id) || no.has(p.id));
    const id = line.id;
    // A failed point counts at once; a sound verdict only when every point was looked at.
    kit.updateLine(id, `inspect ${name}`, {
      ...(all || no.size > 0 ? { failedPoints: [...no], condition: undefined } : {}),
      okPoints: all ? undefined : [...ok],
      ...(all ? { checkedOn: workspace.today } : {}),
    });
    if (all && no.size === 0) go(1);
  }

  /** The usual answer: what is not yet failed is sound; counted as claimed unless counted. */
  function restIsSound() {
    if (!line) return;
    kit.updateLine(line.id, `inspect ${name}`, {
      failedPoints: [...failed],
      okPoints: undefined,
      condition: undefined,
      checkedOn: workspace.today,
      ...(line.counted === undefined ? { counted: line.claimed } : {}),
    });
    go(1);
  }

  async function focus(id: string, first = "") {
    const before = scans;
    await tick();
    // The digit was a scanner's, and its code has been taken meanwhile.
    if (scans !== before) return;
    const el = document.getElementById(id);
    el?.focus();
    if (el instanceof HTMLInputElement) {
      if (first) {
        el.value = first;
        el.dispatchEvent(new Event("input", { bubbles: true }));
      } else el.select();
    }
  }

  function nextPlace() {
    if (!line) return;
    const now = line.location ? LOCATIONS.indexOf(line.location) : -1;
    kit.updateLine(line.id, `place of ${name}`, {
      location: LOCATIONS[(now + 1) % LOCATIONS.length],
    });
  }
  /** The date of the item before it on the bench: things bought together often share it. */
  function sameDate() {
    const before = order.slice(0, at).findLast((l) => l.expires && l.expires !== "none");
    if (line && before) kit.updateLine(line.id, `date of ${name}`, { expires: before.expires });
  }

  /** A code scanned off the item in hand: its date and lot; what it is, is known from now on. */
  let scans = $state(0);
  function scanned(text: string) {
    // What the scanner typed into a field is not an answer.
    scans++;
    if (!line) return;
    const read = parseGs1(text);
    if (!read.ok) {
      workspace.say(`Not taken: ${read.problems[0]!.where} ${read.problems[0]!.what}.`, true);
      return;
    }
    const { gtin, expires, lot } = read.value;
    const known = workspace.barcodes.find((b) => b.gtin === gtin);
    if (known && known.itemType !== line.itemType) {
      workspace.say(
        `Not taken: this code is known as ${kit.typeOf(known.itemType)?.label ?? known.itemType}, and the item on the bench is ${type?.label ?? "not named"}.`,
        true,
      );
      return;
    }
    if (gtin && !known && line.itemType)
      workspace.learnBarcode(gtin, line.itemType, line.text, line.sizeMm);
    kit.updateLine(line.id, `scan ${name}`, {
      ...(gtin ? { gtin } : {}),
      ...(expires ? { expires } : {}),
      ...(lot ? { lot } : {}),
    });
    workspace.say(
      `Scanned: ${[expires && `good to ${day(expires)}`, lot && `lot ${lot}`].filter(Boolean).join(", ") || "no date or lot in it"}.`,
    );
  }
  const wedgeKeys = wedge(
    withoutDoubles(scanned, () => performance.now()),
    () => performance.now(),
  );

  function onKey(e: KeyboardEvent) {
    if (e.defaultPrevented) {
      wedgeKeys.clear();
      return;
    }
    if (wedgeKeys.key(e)) {
      e.preventDefault();
      return;
    }
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
    const onButton = (e.target as HTMLElement).closest?.("button, a, summary");
    const keys: Record<string, () => unknown> = {
      f: () => nextPoint && answer(nextPoint.id, true),
      d: () => nextPoint && answer(nextPoint.id, false),
      j: () => go(1),
      k: () => go(-1),
      arrowdown: () => go(1),
      arrowup: () => go(-1),
      ...Object.fromEntries(VERDICTS.map((v) => [VERDICT_KEY[v], () => picker?.decide(v)])),
      b: () => focus("bench-why"),
      c: () => focus("bench-count"),
      e: () => focus("bench-date"),
      g: sameDate,
      s: () => focus("bench-size"),
      l: nextPlace,
      n: () => focus("bench-note"),
      p: () => beside?.pickPhoto(),
      u: () => workspace.undo(),
      o: nextOrder,
      ...(onButton ? {} : { enter: restIsSound, " ": () => stopwatch?.press() }),
    };
    const run =
      /^\d$/.test(e.key) && !onButton
        ? () => focus("bench-date", e.key)
        : keys[e.key.toLowerCase()];
    if (!run) return;
    e.preventDefault();
    run();
  }
  const markOf = (l: Line) => {
    const i = kit.audit.bench.lines.findIndex((b) => b.line.id === l.id);
    if (lineCondition(l, CATALOGUE) === null) return "unchecked" as const;
    const own = kit.audit.needs.flatMap((n) => n.pairs.filter((p) => p.pair.line === i));
    if (lineCondition(l, CATALOGUE) === "failed") return "sound" as const;
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
        <button class="btn min-h-9 px-2 py-1 text-sm" onclick={nextOrder}
          >{ORDER_LABEL[orderBy]} <span class="kbd">O</span></button
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
      <div class="flex flex-wrap gap-2 border-t border-line p-3 text-sm">
        <a class="underline underline-offset-4" href="/kit/{page.params['id']}/labels"
          >Packing, wear, labels</a
        >
        <a class="underline underline-offset-4" href="/kit/{page.params['id']}/second"
          >Second opinion</a
        >
      </div>
    </aside>

    <section class="min-w-0 p-4 sm:p-5 lg:min-h-0 lg:overflow-y-auto">
      <div class="flex flex-wrap items-baseline justify-between gap-2">
        <p class="text-sm text-soft">
          Item {at + 1} of {order.length}{#if line.text && line.text !== type?.label}{" "}· listed
            as “{line.text}”{/if}
        </p>
        <label class="flex items-center gap-2 text-sm text-soft"
          >looked at by
          <input
            class="field min-h-8 w-36 py-0.5 text-sm"
            maxlength="200"
            value={kit.record?.inspector ?? ""}
            placeholder="your name"
            oninput={(e) => {
              const inspector = e.currentTarget.value;
              kit.update("who looks", (r) => ({ ...r, inspector }), "inspector");
            }}
          /></label
        >
      </div>
      <div class="flex flex-wrap items-end justify-between gap-2">
        <h1 class="text-4xl break-words">{type?.label ?? lineName(line, undefined)}</h1>
        <span class="flex flex-wrap gap-2">
          {#each type?.functions.slice(0, 3) ?? [] as f (f.function)}
            <span class="rounded-xs border border-ink px-2 py-0.5 text-sm font-semibold"
              >{CATALOGUE.functions.get(f.function)?.label.toLowerCase()}{f.credit < 1
                ? ` ·${f.credit}`
                : ""}</span
            >
          {/each}
        </span>
      </div>

      {#key `${line.id} ${scans}`}
        <Facts {line} {type} />
        <Points {points} {failed} {answered} {complete} next={nextPoint?.id} onanswer={answer} />
      {/key}

      <div class="mt-3 flex flex-wrap gap-2">
        <button class="btn btn-main" onclick={restIsSound}
          >{failed.length > 0 ? "The rest is sound" : "All sound"}
          <span class="kbd">Enter</span></button
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
          <span class="kbd">U</span> · same date as before <span class="kbd">G</span></span
        >
      </div>
      <Stopwatch bind:this={stopwatch} {line} {name} />
      <VerdictPicker bind:this={picker} {line} {proposed} {given} />
      <div class="mt-3 flex gap-2 lg:hidden">
        <button class="btn flex-1" onclick={() => go(-1)} disabled={at <= 0}>Back</button>
        <button class="btn flex-1" onclick={() => go(1)} disabled={at >= order.length - 1}
          >Next</button
        >
      </div>
    </section>
    <Beside bind:this={beside} {line} {index} />
  </div>
{/if}
