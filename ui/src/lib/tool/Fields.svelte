<script lang="ts">
  import { settings } from '$lib/shell/settings.svelte';
  import type { Draft } from './draft.svelte';
  import Segments from './Segments.svelte';
  import { Steady } from './steady';
  import ValueField from './ValueField.svelte';
  import { capital } from '$lib/shell/text';
  import type { ToolField } from '$lib/api/client';

  let { draft, readonly = false }: { draft: Draft; readonly?: boolean } = $props();

  const colours = { HOLD: 'text-hold', QUERY: 'text-query', NOTE: 'text-note' };
  let all = $state(false);
  const fields = $derived(draft.answer?.fields ?? []);
  const steady = new Steady();
  const shown = $derived(inSteadyOrder(fields.filter((field) => all || stands(field))));
  const hidden = $derived(fields.length - shown.length);

  /** True where a field is needed, or has something to show. */
  function stands({ symbol, required, designation, defaultText }: ToolField): boolean {
    return Boolean(
      required || designation || draft.values[symbol] || draft.origin(symbol) || defaultText
    );
  }

  function inSteadyOrder(standing: ToolField[]): ToolField[] {
    const order = steady.order(
      `${draft.classId} ${all}`,
      standing.map(({ symbol }) => symbol)
    );
    return order.flatMap((symbol) => standing.find((field) => field.symbol === symbol) ?? []);
  }

  function unit(field: ToolField): string {
    return field.unit === 'mm' ? settings.unit : (field.unit ?? '');
  }
</script>

<section aria-label="Properties">
  <h2 class="px-5 pb-1 pt-3">Properties</h2>
  <div class="fields px-5">
    {#each shown as field (field.symbol)}
      {@const finding = draft.finding(field.symbol)}
      <div class="contents">
        <span class="code text-soft" title={field.sentence}>{field.symbol}</span>
        <span class="truncate" title={field.sentence}>
          {capital(field.name)}{#if field.required}<span class="text-soft" title="required"
              >&nbsp;*</span
            >{/if}
        </span>
        <ValueField {draft} symbol={field.symbol} {field} label={capital(field.name)} {readonly} />
        <span class="text-[13px] text-soft">{unit(field)}</span>
        <span class="min-w-0 truncate text-[13px]">
          {#if finding?.code.startsWith('missing.') && draft.focus !== field.symbol}
            <span class="text-soft">needed</span>
          {:else if draft.origin(field.symbol)}
            <span class="text-note">{draft.origin(field.symbol)}</span>
            {#if !readonly}
              <button class="button quiet h-6!" onclick={() => draft.confirm(field.symbol)}>
                Confirm
              </button>
            {/if}
          {:else if finding && !finding.code.startsWith('missing.')}
            {#if finding.repair && !readonly}
              {@const repair = finding.repair}
              <button class="button quiet h-6!" onclick={() => draft.repair(repair.changes)}>
                {capital(repair.title)}
              </button>
            {/if}
            <span class={colours[finding.severity]} title={finding.message}>
              {capital(finding.message)}
            </span>
          {:else if draft.formula(field.symbol)}
            <span class="code text-note" title="Follows from other values">
              = {draft.formula(field.symbol)}
            </span>
          {:else if draft.values[field.symbol]?.defaulted && !readonly}
            <span class="text-note">
              {draft.values[field.symbol]?.text === field.defaultText
                ? 'trade default'
                : 'to be confirmed'}
            </span>
            <button class="button quiet h-6!" onclick={() => draft.confirm(field.symbol)}>
              Confirm
            </button>
          {:else if draft.focus === field.symbol}
            <span class="text-soft">{field.sentence}</span>
          {/if}
        </span>
        {#if field.segments}
          <div class="col-span-full">
            <Segments
              text={draft.values[field.symbol]?.text ?? ''}
              {readonly}
              onchange={(text) => draft.type(field.symbol, text, false)}
            />
          </div>
        {/if}
      </div>
    {/each}
  </div>
  {#if hidden > 0 && !readonly}
    <button class="button quiet mx-5 mt-1" onclick={() => (all = true)}>
      {hidden} more that this class can have
    </button>
  {/if}
</section>

<style>
  .fields {
    display: grid;
    grid-template-columns: 80px 200px 144px 44px 1fr;
    gap: 2px 12px;
    align-items: center;
    min-height: 30px;
  }
  @media (max-width: 640px) {
    .fields {
      grid-template-columns: minmax(0, 1fr) 144px 32px;
      gap: 4px 8px;
    }
    .fields > :global(.contents > :first-child) {
      display: none;
    }
    .fields > :global(.contents > :nth-child(5)) {
      grid-column: 1 / -1;
      white-space: normal;
    }
  }
</style>
