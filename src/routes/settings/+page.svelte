<script lang="ts">
  import OneOf from "$lib/ui/OneOf.svelte";
  import Tick from "$lib/ui/Tick.svelte";
  import Choice from "$lib/ui/Choice.svelte";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import Stored from "./Stored.svelte";
  import ShelfHeader from "$lib/ui/ShelfHeader.svelte";
  import { habitText } from "$lib/words/habitTexts.ts";
  import { day, grams, litres, money, size } from "$lib/words/display.ts";

  const s = $derived(workspace.settings);
  /** Ways of writing that are offered; any other can be typed by the browser's own setting. */
  const LOCALES = [
    ["", "as this browser does"],
    ["en-GB", "31 May 2027, 1.5"],
    ["en-US", "May 31, 2027, 1.5"],
    ["de-DE", "31. Mai 2027, 1,5"],
    ["fr-FR", "31 mai 2027, 1,5"],
    ["nl-NL", "31 mei 2027, 1,5"],
    ["sv-SE", "31 maj 2027, 1,5"],
    ["es-ES", "31 may 2027, 1,5"],
  ] as const;
  let code = $state("");
  const codeWrong = $derived(code.trim() !== "" && !/^[A-Za-z]{3}$/.test(code.trim()));
  function addRate(e: SubmitEvent) {
    e.preventDefault();
    const currency = code.trim().toUpperCase();
    if (!/^[A-Z]{3}$/.test(currency) || currency === s.currency) return;
    workspace.changeSettings("a rate", { rates: { ...s.rates, [currency]: 1 } });
    code = "";
  }
  function takeRate(currency: string) {
    const { [currency]: _, ...rest } = s.rates;
    workspace.changeSettings("take a rate off", { rates: rest });
  }
  let own = $state<string | null>(null);
  const ownWrong = $derived(own !== null && !/^[A-Za-z]{3}$/.test(own.trim()));
</script>

<svelte:head><title>Settings · Wide Sieve</title></svelte:head>
<ShelfHeader title="Settings" about="How numbers, dates and money are written." />
<main class="mx-auto max-w-3xl p-4 sm:p-6">
  <fieldset>
    <legend class="font-head text-xl font-bold">Units</legend>
    <div class="mt-2">
      <OneOf
        label="Units"
        class=""
        value={s.units}
        options={[
          { value: "metric", label: "Metric", about: "cm, g, ml" },
          { value: "us", label: "US customary", about: "in, oz, fl oz" },
        ]}
        onchoose={(units) => workspace.changeSettings("units", { units })}
      />
    </div>
    <p class="mt-2 text-sm text-soft">
      A gauze pad is {size([75, 100])}, a roll {size([75, 4500])}, a bag {grams(850)} or
      {litres(1200)}. Fields take any unit you type; stored sizes are always millimetres.
    </p>
  </fieldset>
  <label class="mt-6 flex flex-col gap-1"
    ><span class="font-head text-xl font-bold">Dates and numbers</span>
    <Choice
      class="max-w-sm"
      label="Dates and numbers"
      value={s.locale}
      options={LOCALES.map(([value, label]) => ({ value, label }))}
      onchoose={(locale) => workspace.changeSettings("locale", { locale })}
    />
    <span class="text-sm text-soft">The last day of May is {day("2027-05-31")}.</span></label
  >
  <fieldset class="mt-6">
    <legend class="font-head text-xl font-bold">Money</legend>
    <label class="mt-2 flex flex-col gap-1"
      ><span class="text-sm font-semibold">Currency of new audits</span>
      <input
        class="field w-28 font-semibold uppercase"
        maxlength="3"
        value={own ?? s.currency}
        aria-invalid={ownWrong}
        oninput={(e) => {
          own = e.currentTarget.value;
          if (/^[A-Za-z]{3}$/.test(own.trim()))
            workspace.changeSettings("currency", { currency: own.trim().toUpperCase() });
        }}
        onblur={() => (own = null)}
      />
      {#if ownWrong}<span class="bad text-sm font-semibold" role="alert"
          >three letters are wanted, as EUR</span
        >{/if}</label
    >
    <p class="mt-3 text-sm font-semibold">Your own rates</p>
    <p class="text-sm text-soft">
      Used to read a price book in another currency, and a kit that was paid for in one. Nothing is
      looked up: you say what it is worth.
    </p>
    <ul class="mt-2 grid gap-2">
      {#each Object.entries(s.rates) as [currency, rate] (currency)}
        <li class="flex flex-wrap items-center gap-3">
          <span>1 {currency} is worth</span>
          <NumberField
            label="Worth of one {currency} in {s.currency}"
            value={rate}
            min={0.000001}
            max={1e9}
            unit={s.currency}
            width="w-32"
            onvalue={(n) =>
              n !== undefined &&
              n > 0 &&
              workspace.changeSettings("a rate", { rates: { ...s.rates, [currency]: n } })}
          />
          <span class="text-sm text-soft"
            >{money(100, currency)} are {money(100 * rate, s.currency)}</span
          >
          <button class="btn" onclick={() => takeRate(currency)} aria-label="Take off {currency}"
            >Take off</button
          >
        </li>
      {/each}
    </ul>
    <form class="mt-2 flex flex-wrap items-end gap-3" onsubmit={addRate}>
      <label class="flex flex-col gap-1 text-sm"
        >Another currency
        <input
          class="field w-28 uppercase"
          maxlength="3"
          bind:value={code}
          aria-invalid={codeWrong}
          placeholder="GBP"
        /></label
      >
      <button class="btn" disabled={codeWrong || code.trim() === ""}>Add a rate</button>
      {#if codeWrong}<span class="bad text-sm font-semibold" role="alert"
          >three letters are wanted</span
        >{/if}
    </form>
  </fieldset>
  <fieldset class="mt-6">
    <legend class="font-head text-xl font-bold">Single keys</legend>
    <Tick
      class="mt-2"
      checked={s.singleKeys !== false}
      onchange={(singleKeys) => workspace.changeSettings("single keys", { singleKeys })}
      >letters act on the bench while the focus is in the item (F good, D bad, J next …)</Tick
    >
    <p class="text-sm text-soft">
      Off for speech input, or where a stray key does harm. A scanner is read either way.
    </p>
  </fieldset>
  <Stored />
  <section class="mt-8" aria-labelledby="learned">
    <h2 id="learned" class="text-xl">What your corrections have taught</h2>
    <p class="text-sm text-soft">
      The next card is read by these. They go out and come in with everything else you export.
    </p>
    {#if workspace.aliases.length + workspace.habitRecords.length === 0}
      <p class="mt-2">Nothing yet: correct a line of a card, and it is remembered here.</p>
    {/if}
    <ul class="mt-2 grid gap-1">
      {#each workspace.aliases as a (a.id)}
        <li class="flex flex-wrap items-center gap-3">
          <span class="min-w-0 flex-1 break-words"
            >“{a.text}” is {workspace.typeOf(a.itemType)?.label ?? a.itemType}{a.on
              ? `, since ${day(a.on)}`
              : ""}</span
          >
          <button
            class="btn"
            aria-label="Forget that “{a.text}” has a meaning"
            onclick={() => workspace.edit("forget a name", [], [a.id])}>Forget</button
          >
        </li>
      {/each}
      {#each workspace.habitRecords as h (h.id)}
        <li class="flex flex-wrap items-center gap-3">
          <span class="min-w-0 flex-1 break-words">{habitText(h.habit)}, since {day(h.on)}</span>
          <button
            class="btn"
            aria-label="Forget: {habitText(h.habit)}"
            onclick={() => workspace.edit("forget what was learned", [], [h.id])}>Forget</button
          >
        </li>
      {/each}
    </ul>
  </section>
</main>
