<script lang="ts" module>
  import type { IconNode } from "lucide";

  const drawn = new Map<IconNode, string>();
  /** A drawing as markup, made once: there are icons in every row, and made element by element they cost a page's time. */
  function markup(of: IconNode): string {
    let made = drawn.get(of);
    if (made === undefined) {
      made = of
        .map(([tag, is]) => {
          const attributes = Object.entries(is).map(([name, value]) => `${name}="${value}"`);
          return `<${tag} ${attributes.join(" ")}/>`;
        })
        .join("");
      drawn.set(of, made);
    }
    return made;
  }
</script>

<script lang="ts">
  /** A drawing beside words that say the same. */
  interface Props {
    of: IconNode;
    /** Dots. */
    size?: number;
    /** Of the stroke, in 24ths of the size. */
    weight?: number;
    class?: string;
  }
  const { of, size = 18, weight = 2, class: look = "" }: Props = $props();
</script>

<svg
  width={size}
  height={size}
  viewBox="0 0 24 24"
  fill="none"
  stroke="currentColor"
  stroke-width={weight}
  stroke-linecap="round"
  stroke-linejoin="round"
  class={look}
  aria-hidden="true"
>
  <!-- eslint-disable-next-line svelte/no-at-html-tags -- drawings of the package, no text of anybody's -->
  {@html markup(of)}
</svg>
