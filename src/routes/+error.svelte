<script lang="ts">
  import { page } from "$app/state";
</script>

<div class="mx-auto max-w-xl p-8">
  <h1 class="text-3xl">{page.status === 404 ? "There is no such page" : "Something went wrong"}</h1>
  <p class="mt-2">{page.error?.message} Your kits are kept; nothing was changed.</p>
  <a class="btn mt-5" href="/">To the shelf</a>
</div>
