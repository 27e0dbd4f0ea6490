<script lang="ts">
  import { plain } from "$lib/state/plain.ts";
  import Progress from "$lib/ui/Progress.svelte";
  import StartStop from "$lib/ui/StartStop.svelte";
  import { onDestroy } from "svelte";
  import { toHtml } from "$lib/report/toHtml.ts";
  import { toMarkdown } from "$lib/report/toMarkdown.ts";
  import { useKit } from "$lib/state/kit.svelte.ts";
  import { useReady } from "$lib/state/ready.svelte.ts";
  import { ReportState } from "$lib/state/pages/report.svelte.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import { download, fileName } from "$lib/ui/download.ts";
  import ReportView from "$lib/ui/ReportView.svelte";
  import { PdfRun } from "$lib/workers/pdfRun.svelte.ts";

  const kit = useKit();
  const ready = useReady();
  const report = new ReportState(kit, () => ({
    plan: ready.run.result,
    request: ready.request,
  }));
  $effect(() => report.askOwn());
  $effect(() => report.askChance());
  onDestroy(() => report.dispose());
  const { title, blocks } = $derived(report);

  const pdf = new PdfRun();
  onDestroy(() => pdf.stop());
  const makePdf = () =>
    pdf.make(
      { title, blocks: plain(blocks) },
      (blob) => download(fileName(title, "-report.pdf"), blob, "application/pdf"),
      (why) => workspace.say(`The PDF could not be made: ${why}. Print the page instead.`, true),
    );
</script>

<div class="no-print flex flex-wrap items-center gap-3 border-b border-line bg-sheet px-5 py-3">
  <StartStop
    main
    start="PDF"
    running={pdf.share !== null}
    onstart={makePdf}
    onstop={() => pdf.stop()}
  />
  {#if pdf.share !== null}
    <span role="status">Making the PDF …</span>
    <Progress label="The PDF being made" value={pdf.share} />
  {/if}
  <button
    class="btn"
    onclick={() =>
      download(fileName(title, "-report.html"), toHtml(title, blocks, report.data()), "text/html")}
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
    onclick={() => download(fileName(title, ".widesieve.json"), JSON.stringify(kit.whole, null, 1))}
    >Audit file</button
  >
  {#if ready.run.running || report.working}<span class="text-soft"
      >plan and chance are still being worked out …</span
    >{/if}
</div>
<ReportView {blocks} />
