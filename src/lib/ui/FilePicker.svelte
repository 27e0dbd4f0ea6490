<script lang="ts">
  /** A file field that is not seen: a button beside it calls `pick`. The same file may be picked twice. */
  interface Props {
    label: string;
    accept: string;
    multiple?: boolean;
    /** Offers the camera where there is one. */
    camera?: boolean;
    onfiles: (files: File[]) => void;
  }
  const { label, accept, multiple = false, camera = false, onfiles }: Props = $props();
  let field: HTMLInputElement;
  export function pick() {
    field.click();
  }
</script>

<input
  bind:this={field}
  type="file"
  {accept}
  {multiple}
  capture={camera ? "environment" : undefined}
  class="hidden"
  aria-label={label}
  onchange={(e) => {
    const files = [...(e.currentTarget.files ?? [])];
    e.currentTarget.value = "";
    if (files.length > 0) onfiles(files);
  }}
/>
