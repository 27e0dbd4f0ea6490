<script lang="ts">
  import Tick from "$lib/ui/Tick.svelte";
  import { CATALOGUE } from "$lib/data/catalogue.ts";
  import type { Line } from "$lib/core/model/kit.ts";
  import { repriced } from "$lib/core/plan/priceList.ts";
  import type { Product } from "$lib/core/model/priceBook.ts";
  import { workspace } from "$lib/state/workspace.svelte.ts";
  import NumberField from "$lib/ui/NumberField.svelte";
  import SizeField from "$lib/ui/SizeField.svelte";
  import TypePicker from "$lib/ui/TypePicker.svelte";
  import { day, money } from "$lib/words/sentences.ts";

  interface Props {
    product: Product;
    onchange: (label: string, product: Product, mergeKey?: string | null) => void;
    onremove: () => void;
  }
  const { product, onchange, onremove }: Props = $props();
  const name = $derived(
    workspace.ownTypes.find((t) => t.id === product.itemType)?.label ??
      CATALOGUE.types.get(product.itemType)?.label ??
      product.itemType,
  );
  type Field =
    | "pack"
    | "volumeMl"
    | "dosesPerPiece"
    | "strengthMg"
    | "massG"
    | "bulkMl"
    | "leadDays"
    | "shelfMonths";
  function set(field: Field, n: number | undefined) {
    const next = { ...product, [field]: n };
    if (n === undefined) delete (next as Record<string, unknown>)[field];
    onchange(`${field} of ${product.title}`, next as Product, field);
  }
  const NUMBERS: readonly {
    field: Field;
    label: string;
    unit: string;
    whole?: boolean;
    min?: number;
  }[] = [
    { field: "volumeMl", label: "Content of a piece", unit: "ml", min: 0.1 },
    { field: "dosesPerPiece", label: "Doses in a piece", unit: "", min: 0.1 },
    { field: "strengthMg", label: "Strength of a dose", unit: "mg", min: 0.001 },
    { field: "massG", label: "Weight of a pack", unit: "g" },
    { field: "bulkMl", label: "Space of a pack", unit: "ml" },
    { field: "leadDays", label: "Lead time", unit: "days" },
    { field: "shelfMonths", label: "Good for, when new", unit: "months" },
  ];
  const history = $derived([...(product.history ?? [])].reverse());
</script>

<div class="grid gap-4 bg-ground p-4 md:grid-cols-2">
  <div class="flex flex-col gap-3">
    <label class="flex flex-col gap-1"
      ><span>Name</span><input
        class="field"
        maxlength="300"
        value={product.title}
        onchange={(e) => {
          const title = e.currentTarget.value.trim();
          if (title) onchange(`rename ${product.title}`, { ...product, title });
          else e.currentTarget.value = product.title;
        }}
      /></label
    >
    <div class="flex flex-col gap-1">
      <span>Kind of thing</span>
      <TypePicker
        value={product.itemType}
        label="Kind of thing"
        {name}
        onpick={(id) => id && onchange(`kind of ${product.title}`, { ...product, itemType: id })}
      />
    </div>
    <div class="flex flex-wrap gap-4">
      <div class="flex flex-col gap-1">
        <span>Price of a pack</span><NumberField
          label="Price of a pack"
          value={product.price.amount}
          max={1_000_000}
          width="w-28"
          unit={product.price.currency}
          onvalue={(n) =>
            n !== undefined &&
            onchange(`price of ${product.title}`, repriced(product, n, workspace.today), "price")}
        />
      </div>
      <div class="flex flex-col gap-1">
        <span>Pieces in a pack</span><NumberField
          label="Pieces in a pack"
          value={product.pack}
          whole
          min={1}
          onvalue={(n) => n !== undefined && set("pack", n)}
        />
      </div>
    </div>
    <label class="flex flex-col gap-1"
      ><span>Source</span><input
        class="field"
        maxlength="200"
        value={product.source ?? ""}
        onchange={(e) =>
          onchange(`source of ${product.title}`, {
            ...product,
            source: e.currentTarget.value.trim() || undefined,
          })}
      /></label
    >
    <Tick
      checked={product.inStock !== false}
      onchange={(inStock) => onchange(`stock of ${product.title}`, { ...product, inStock })}
      >in stock</Tick
    >
  </div>
  <div class="flex flex-col gap-3">
    <div class="flex flex-col gap-1">
      <span>Size of a piece</span>
      <SizeField
        line={{ id: product.id, ...(product.sizeMm ? { sizeMm: product.sizeMm } : {}) } as Line}
        onsize={(sizeMm) => {
          const { sizeMm: _, ...rest } = product;
          onchange(`size of ${product.title}`, sizeMm ? { ...rest, sizeMm } : rest, "size");
        }}
      />
    </div>
    <div class="grid grid-cols-2 gap-3">
      {#each NUMBERS as f (f.field)}
        <div class="flex flex-col gap-1">
          <span>{f.label}</span><NumberField
            label={f.label}
            value={product[f.field] ?? undefined}
            optional
            min={f.min ?? 0}
            unit={f.unit}
            onvalue={(n) => set(f.field, n)}
          />
        </div>
      {/each}
    </div>
    <p class="text-sm" data-testid="history">
      Price of {product.pricedOn ? day(product.pricedOn) : "no known day"}.
      {#if history.length > 0}Before: {history
          .slice(0, 6)
          .map((h) => `${money(h.amount, product.price.currency)} on ${day(h.on)}`)
          .join("; ")}.{/if}
    </p>
    <button class="btn self-start" onclick={onremove}>Take it out of the book</button>
  </div>
</div>
