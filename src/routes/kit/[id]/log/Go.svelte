<script lang="ts">
  import { Dialog } from "bits-ui";
  import type { ReadyToGo } from "$lib/core/log/readyToGo.ts";
  import type { LogState } from "$lib/state/pages/log.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import Progress from "$lib/ui/Progress.svelte";
  import { goSlip } from "$lib/words/goSlip.ts";
  import { LOCATION_LABEL, UNCHECKED_LABEL } from "$lib/words/labels.ts";
  import { day, many } from "$lib/words/sentences.ts";

  /** Before an outing: the fewest checks that make what is guaranteed as good as it can be. */
  interface Props {
    open: boolean;
    log: LogState;
    go: ReadyToGo | null;
    running: boolean;
  }
  let { open = $bindable(), log, go, running }: Props = $props();
  let done = $state<string[]>([]);
  let by = $state("");
  const { kit } = $derived(log);
  const seal = $derived(log.seal?.brokenBy === null ? log.seal : null);
  const slip = $derived(
    goSlip({
      kit: kit.record?.kit.name ?? "",
      on: workspace.today,
      to: log.lastDay,
      seal: seal?.number ?? null,
      by: by.trim() || kit.record?.inspector || "",
      grade: go?.grade ?? null,
      checked: done.map(log.nameOf),
    }),
  );
  function tick(line: string) {
    done = [...done, line];
    log.confirm(line);
  }
</script>

<Dialog.Root bind:open onOpenChange={(o) => !o && (done = [])}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
    <Dialog.Content
      class="sheet fixed top-[6vh] left-1/2 z-50 max-h-[88vh] w-[min(38rem,96vw)] -translate-x-1/2 overflow-auto border-2 border-ink p-5"
    >
      <Dialog.Title class="font-head text-2xl font-bold">Ready to go?</Dialog.Title>
      <Dialog.Description class="text-sm text-soft"
        >For {many(kit.brief.days, "day")} from today, to {day(log.lastDay)}.</Dialog.Description
      >
      {#if running && !go}
        <p class="mt-4 flex items-center gap-3">
          <Progress label="The checks being worked out" value={null} /> working out the fewest checks
          …
        </p>
      {:else if !go}
        <p class="noted mt-4">The list asks for nothing: there is nothing to be ready for.</p>
      {:else}
        {#if seal}
          <p class="noted mt-3">
            <strong>Look at the seal: {seal.number}.</strong> Whole since {day(seal.on)}{go.checks
              .length === 0
              ? ": that is the one check."
              : "; what was never looked at before it is still to be seen."}
          </p>
        {/if}
        {#if go.checks.length === 0}
          <p class="mt-3">
            What is guaranteed is <strong>{go.now}</strong> now; no check can make it more{go.grade ===
            "Ready"
              ? "."
              : `: the kit itself is ${go.grade}. The plan says what it wants.`}
          </p>
        {:else}
          <p class="mt-3">
            Guaranteed now: <strong>{go.now}</strong>. With {many(go.checks.length, "check")}, about
            {many(Math.ceil(go.seconds / 10) * 10, "second")}, it is <strong>{go.grade}</strong>.
            {go.fewest ? "Fewer will not do." : "Found one by one: fewer may do."}
          </p>
          <ol class="mt-2 divide-y divide-line border-y border-line" data-testid="go-checks">
            {#each go.checks as c (c.line)}
              <li class="flex items-center gap-3 py-2">
                <span class="min-w-0 flex-1"
                  ><strong class="font-semibold">{log.nameOf(c.line)}</strong><br /><span
                    class="text-sm text-soft"
                    >{c.location ? LOCATION_LABEL[c.location] : "place not noted"}: {c.facts
                      .map((f) => UNCHECKED_LABEL[f])
                      .join(", ")} · {c.seconds} s</span
                  ></span
                >
                <button class="btn min-h-11 px-3" onclick={() => tick(c.line)}
                  >There and sound</button
                >
              </li>
            {/each}
          </ol>
          <p class="mt-1 text-sm text-soft">
            What is not: <a class="underline underline-offset-4" href="bench">to the bench</a>.
          </p>
        {/if}
        {#if done.length > 0}<p class="mt-2 text-sm">
            Looked at now: {done.map(log.nameOf).join(", ")}.
          </p>{/if}
        <div class="mt-4 flex flex-wrap items-end gap-2 border-t border-line pt-3">
          <label class="flex flex-col text-sm"
            >checked by<input class="field w-40" maxlength="200" bind:value={by} /></label
          >
          <button
            class="btn"
            onclick={() =>
              download(fileName(`${kit.record?.kit.name} ready`, ".md"), slip, "text/markdown")}
            >Slip, Markdown</button
          >
          <button class="btn" onclick={() => print()}>Print it</button>
          <Dialog.Close class="btn">Close</Dialog.Close>
        </div>
        <div class="mt-3 grid gap-2 border-t border-line pt-3 text-sm" data-slip data-testid="slip">
          {#each slip.trim().split("\n\n") as p, i (i)}<p>{p.replaceAll("**", "")}</p>{/each}
        </div>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
