<script lang="ts">
  import { onDestroy } from "svelte";
  import { kitReport, type ReportPlan } from "$lib/report/kitReport.ts";
  import { toHtml } from "$lib/report/toHtml.ts";
  import { toMarkdown } from "$lib/report/toMarkdown.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { useReady } from "$lib/state/ready.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/files.ts";
  import ReportView from "$lib/ui/ReportView.svelte";
  import type { PdfAnswer, PdfAsked } from "$lib/workers/pdf.worker.ts";

  const kit = useKit();
  const ready = useReady();
  const result = $derived(ready.run.result);
  const plan = $derived<ReportPlan | null>(
    result && result.status !== "infeasible"
      ? {
          actions: result.actions,
          price: result.price,
          currency: kit.currency,
          gradeAfter: result.grade,
          coverageAfter: result.coverage,
          proven: result.status === "optimal",
        }
      : null,
  );
  const title = $derived(kit.record?.kit.name ?? "kit");
  const blocks = $derived(
    kitReport(
      kit.audit,
      plan,
      {
        verdicts: kit.record?.verdicts ?? {},
        photos: kit.photos,
        inspector: kit.record?.inspector ?? "",
        history: kit.record?.history ?? [],
      },
      workspace.today,
    ),
  );

  // The PDF is made in a worker; it can be given up.
  let share = $state<number | null>(null);
  let worker: Worker | null = null;
  function makePdf() {
    stop();
    share = 0;
    worker = new Worker(new URL("../../../../lib/workers/pdf.worker.ts", import.meta.url), {
      type: "module",
    });
    const failed = (why: string) => {
      stop();
      workspace.say(`The PDF could not be made: ${why}. Print the page instead.`, true);
    };
    worker.onerror = (e) => failed(e.message || "its maker could not start");
    worker.onmessage = (e: MessageEvent<PdfAnswer>) => {
      if (e.data.is === "progress") share = e.data.share;
      else if (e.data.is === "failed") failed(e.data.why);
      else {
        stop();
        download(fileName(title, "-report.pdf"), e.data.blob, "application/pdf");
      }
    };
    const asked: PdfAsked = { title, blocks: $state.snapshot(blocks) as PdfAsked["blocks"] };
    worker.postMessage(asked);
  }
  function stop() {
    worker?.terminate();
    worker = null;
    share = null;
  }
  onDestroy(stop);
</script>

<div class="no-print flex flex-wrap items-center gap-3 border-b border-line bg-sheet px-5 py-3">
  {#if share === null}
    <button class="btn btn-main" onclick={makePdf}>PDF</button>
  {:else}
    <span role="status">Making the PDF …</span>
    <progress max="1" value={share}></progress>
    <button class="btn" onclick={stop}>Stop</button>
  {/if}
  <button
    class="btn"
    onclick={() => download(fileName(title, "-report.html"), toHtml(title, blocks), "text/html")}
    >HTML, one file</button
  >
  <button
    class="btn"
    onclick={() => download(fileName(title, "-report.md"), toMarkdown(blocks), "text/markdown")}
    >Markdown</button
  >
  <button class="btn" onclick={() => print()}>Print</button>
  <button
    class="btn"
    onclick={() => download(fileName(title, ".widesieve.json"), JSON.stringify(kit.file, null, 1))}
    >Audit file</button
  >
  {#if ready.run.running}<span class="text-soft">the plan is still being worked out …</span>{/if}
</div>
<ReportView {blocks} />
