<script lang="ts">
  import type { ToolField } from '$lib/api/client';
  import { settings } from '$lib/shell/settings.svelte';
  import type { Draft } from './draft.svelte';

  let {
    draft,
    symbol,
    field,
    label,
    readonly = false,
    compact = false
  }: {
    draft: Draft;
    symbol: string;
    field?: ToolField;
    label: string;
    readonly?: boolean;
    compact?: boolean;
  } = $props();

  /** What was typed while lengths were looked at in a unit; a switch shows what was understood. */
  let typed = $state<{ text: string; unit: string } | null>(null);
  const finding = $derived(draft.finding(symbol));
  const value = $derived(
    typed === null
      ? draft.shown(symbol)
      : typed.unit === settings.unit
        ? typed.text
        : draft.authored(symbol)
  );
  const unconfirmed = $derived(
    typed === null && Boolean(draft.values[symbol]?.defaulted || draft.origin(symbol))
  );
</script>

<input
  class={['field', compact ? 'h-6! w-[70px]' : 'w-36', field?.numeric && 'text-right']}
  class:italic={unconfirmed}
  class:text-soft={draft.origin(symbol) !== undefined && typed === null}
  aria-label={label}
  list={field?.choices.length && !compact ? `choices-${symbol}` : undefined}
  aria-invalid={finding?.severity === 'HOLD' && !finding.code.startsWith('missing.')}
  title={finding?.message ?? draft.origin(symbol) ?? field?.sentence}
  {readonly}
  {value}
  onfocus={() => {
    draft.focus = symbol;
    typed = { text: draft.authored(symbol), unit: settings.unit };
  }}
  onblur={() => {
    draft.focus = null;
    typed = null;
  }}
  oninput={(event) => {
    typed = { text: event.currentTarget.value, unit: settings.unit };
    draft.type(symbol, typed.text, field?.unit === 'mm');
  }}
/>

{#if field?.choices.length && !compact}
  <datalist id="choices-{symbol}">
    {#each field.choices as choice (choice)}<option value={choice}></option>{/each}
  </datalist>
{/if}
