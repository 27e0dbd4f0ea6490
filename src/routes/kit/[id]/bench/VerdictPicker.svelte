<script lang="ts">
  import StateIcon from "$lib/ui/StateIcon.svelte";
  import type { Line } from "$lib/core/model/kit.ts";
  import { VERDICTS, type VerdictId, type VerdictReason } from "$lib/core/audit/verdict.ts";
  import type { Verdict } from "$lib/core/records/kitRecord.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { VERDICT_BECAUSE, VERDICT_KEY, VERDICT_LABEL } from "$lib/words/verdicts.ts";

  interface Props {
    line: Line;
    proposed: { verdict: VerdictId; because: VerdictReason } | null;
    given: Verdict | undefined;
  }
  const { line, proposed, given }: Props = $props();
  const kit = useKit();

  /** Gives a verdict, or takes the same one back. What the rules proposed then is kept beside it. */
  export function decide(verdict: VerdictId) {
    kit.update(`verdict: ${VERDICT_LABEL[verdict]}`, (r) => {
      const { [line.id]: former, ...rest } = r.verdicts;
      if (former?.verdict === verdict) return { ...r, verdicts: rest };
      const decided: Verdict = {
        verdict,
        ...(former?.why ? { why: former.why } : {}),
        ...(proposed ? { proposed: proposed.verdict } : {}),
        ...(r.inspector ? { by: r.inspector } : {}),
        on: workspace.today,
      };
      return { ...r, verdicts: { ...rest, [line.id]: decided } };
    });
  }
  const because = (why: string) =>
    kit.update(
      "reason of a verdict",
      (r) => {
        const former = r.verdicts[line.id];
        if (!former) return r;
        const { why: _, ...rest } = former;
        return {
          ...r,
          verdicts: { ...r.verdicts, [line.id]: why === "" ? rest : { ...rest, why } },
        };
      },
      `${line.id} why`,
    );
</script>

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
        class="btn min-h-10 px-3 py-1 {given?.verdict === v ? 'btn-on' : ''} {proposed?.verdict ===
          v && !given
          ? 'border-2 border-dashed'
          : ''}"
        aria-pressed={given?.verdict === v}
        onclick={() => decide(v)}
        >{#if given?.verdict === v}<StateIcon state="good" />{/if}{VERDICT_LABEL[v]}<span
          class="kbd">{VERDICT_KEY[v].toUpperCase()}</span
        ></button
      >
    {/each}
  </div>
  {#if given}
    <label class="mt-2 flex flex-wrap items-center gap-2 text-sm"
      >because
      <input
        id="bench-why"
        class="field grow"
        maxlength="2000"
        value={given.why ?? ""}
        placeholder={given.proposed && given.proposed !== given.verdict
          ? "why not as the rules propose"
          : "in your words, if you like"}
        oninput={(e) => because(e.currentTarget.value)}
      />
      {#if given.by || given.on}<span class="text-soft"
          >{[given.by, given.on].filter(Boolean).join(", ")}</span
        >{/if}</label
    >
  {/if}
</fieldset>
