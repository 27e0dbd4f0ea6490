<script lang="ts">
  import { onMount } from "svelte";
  import { dev } from "$app/environment";
  import { workspace } from "../state/workspace.svelte.ts";

  /** Registers the service worker, and says when a new version of the application waits to take over. */
  let waiting = $state<ServiceWorker | null>(null);

  function watch(registration: ServiceWorkerRegistration | undefined) {
    // A browser that blocks them answers with nothing.
    if (!registration) return;
    const look = (worker: ServiceWorker | null) =>
      worker?.addEventListener("statechange", () => {
        // The first version ever takes over by itself: only a second one waits.
        if (worker.state === "installed" && navigator.serviceWorker.controller) waiting = worker;
      });
    if (registration.waiting && navigator.serviceWorker.controller) waiting = registration.waiting;
    look(registration.installing);
    registration.addEventListener("updatefound", () => look(registration.installing));
  }

  onMount(() => {
    // Without HTTPS (on another machine) browsers have none: the page says so in the settings.
    if (dev || !("serviceWorker" in navigator)) return;
    navigator.serviceWorker.register("/service-worker.js").then(watch, () => {});
  });

  async function reload() {
    await workspace.flushed();
    navigator.serviceWorker.addEventListener("controllerchange", () => location.reload(), {
      once: true,
    });
    waiting?.postMessage("take over");
  }
</script>

{#if waiting}
  <div
    class="no-print noted fixed right-4 bottom-20 z-40 flex max-w-sm flex-wrap items-center gap-3 border border-l-4 border-ink"
    role="status"
  >
    <span>A new version of Wide Sieve is ready. Nothing of yours is lost by it.</span>
    <button class="btn" onclick={reload}>Reload with it</button>
    <button class="btn" onclick={() => (waiting = null)}>Later</button>
  </div>
{/if}
