<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Combobox } from 'bits-ui';
  import { draftOffersQuery } from '$lib/stack/queries';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import type { Draft } from '$lib/tool/draft.svelte';

  let {
    draft,
    holder = $bindable(),
    overhang = $bindable()
  }: {
    draft: Draft;
    /** Id of what holds the tool; empty while nothing does. */
    holder: string;
    /** How far the tool stands out of it in mm; null for the usual overhang. */
    overhang: number | null;
  } = $props();

  /** What decides whether a holder takes it. */
  const shank = $derived(
    ['DMM', 'DCONMS', 'DCON', 'CCMS', 'H', 'B'].map(
      (symbol) => draft.answer?.values[symbol]?.mm ?? ''
    )
  );
  const drawn = $derived(Boolean(draft.answer?.outline) && !draft.answer?.sketch);
  const offers = createQuery(() => ({ ...draftOffersQuery(draft.body, shank), enabled: drawn }));
  const fitting = $derived(offers.data?.items ?? []);
  let sought = $state('');
  const found = $derived(
    fitting.filter((offer) =>
      `${offer.component.code} ${offer.component.name}`.toLowerCase().includes(sought.toLowerCase())
    )
  );
</script>

<div class="flex items-center gap-2">
  <label class="text-soft" for="held-by">Held by</label>
  <Combobox.Root
    type="single"
    bind:value={holder}
    onOpenChange={(open) => {
      if (!open) sought = '';
    }}
    items={fitting.map((offer) => ({ value: String(offer.id), label: offer.component.code }))}
  >
    <Combobox.Input
      id="held-by"
      class="field code h-6! w-44"
      placeholder={fitting.length > 0 ? `one of ${fitting.length}` : 'nothing takes it'}
      clearOnDeselect
      oninput={(event) => {
        sought = event.currentTarget.value;
        if (sought === '') holder = '';
      }}
    />
    <Combobox.Portal>
      <Combobox.Content class="floating z-50 max-h-64 overflow-auto p-1" sideOffset={4}>
        <Combobox.Viewport>
          {#each found as offer (offer.id)}
            <Combobox.Item
              value={String(offer.id)}
              label={offer.component.code}
              class="flex cursor-pointer gap-3 rounded-sm px-3 py-1.5 data-highlighted:bg-faint data-selected:font-semibold"
            >
              <span class="code w-36">{offer.component.code}</span>
              <span class="text-soft">{offer.component.name}</span>
            </Combobox.Item>
          {:else}
            <p class="px-3 py-1.5 text-soft">No holder of that name takes this shank.</p>
          {/each}
        </Combobox.Viewport>
      </Combobox.Content>
    </Combobox.Portal>
  </Combobox.Root>
  {#if holder}
    <span class="text-soft">overhang</span>
    <NumberField label="Overhang" unit="mm" class="h-6! w-20" optional bind:value={overhang} />
    <span class="text-soft">{units.label('mm')}{overhang === null ? ', as usual' : ''}</span>
  {/if}
</div>
