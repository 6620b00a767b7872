<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Debounced } from 'runed';
  import type { FactorBody } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital, count } from '$lib/shell/text';
  import { multiplyCutting } from './actions';
  import { factorPreviewQuery, materialsQuery } from './queries';

  let { tools, ondone }: { tools: number[]; ondone: () => void } = $props();

  type Field = 'SPEED' | 'FEED' | 'DEPTH' | 'WIDTH';
  const fields: { value: Field; label: string }[] = [
    { value: 'SPEED', label: 'cutting speed' },
    { value: 'FEED', label: 'feed' },
    { value: 'DEPTH', label: 'depth of cut' },
    { value: 'WIDTH', label: 'width of cut' }
  ];
  const SHOWN = 8;

  let field = $state<Field>('SPEED');
  let factor = $state('');
  let material = $state('');
  let busy = $state(false);

  const materials = createQuery(materialsQuery);
  const number = $derived(factor.trim() === '' ? NaN : Number(factor.replace(',', '.')));
  const order = $derived<FactorBody>({
    tools,
    number: field,
    factor: number,
    material: material || undefined
  });
  const settled = new Debounced(() => order, 250);
  const same = $derived(JSON.stringify(settled.current) === JSON.stringify(order));
  const preview = createQuery(() => ({
    ...factorPreviewQuery(settled.current),
    enabled: Number.isFinite(number) && !busy && same
  }));
  const seen = $derived(Number.isFinite(number) ? preview.data : undefined);
  /** Why lines stay as they are, each reason once. */
  const reasons = $derived([...new Set((seen?.kept ?? []).map(({ why }) => why))]);

  async function apply() {
    if (!seen) return;
    busy = true;
    const done = await multiplyCutting({ ...order, expected: seen.changed });
    busy = false;
    if (done) ondone();
  }
</script>

<div class="mt-4 flex flex-wrap items-center gap-2">
  <Choice label="Number" bind:value={field} options={fields} />
  <span>times</span>
  <input
    class="field w-20 text-right"
    inputmode="decimal"
    aria-label="Factor"
    placeholder="0.85"
    bind:value={factor}
  />
  <span>in</span>
  <Choice
    label="Work material"
    bind:value={material}
    options={[
      { value: '', label: 'all work materials' },
      ...(materials.data?.items ?? []).map(({ id, name }) => ({ value: id, label: name }))
    ]}
  />
</div>
{#if factor.trim() !== '' && !Number.isFinite(number)}
  <p role="alert" class="mt-3 text-hold">'{factor}' is no number; write one such as 0.85</p>
{:else if preview.error && Number.isFinite(number)}
  <p role="alert" class="mt-3 text-hold">{capital((preview.error as Error).message)}</p>
{:else if seen}
  <p class="mt-4" role="status">
    {#if seen.changed === 0 && seen.left === 0}
      None of these tools has such cutting data.
    {:else}
      <strong>{count(seen.changed, 'line')} of cutting data</strong>
      {seen.changed === 1 ? 'changes' : 'change'}{seen.left > 0
        ? `, ${seen.left} ${seen.left === 1 ? 'stays' : 'stay'}: ${reasons.join('; ')}`
        : ''}
    {/if}
  </p>
  <table class="rows mt-2 w-full text-[13px]">
    <tbody>
      {#each seen.edited.slice(0, SHOWN) as row, index (index)}
        <tr>
          <td class="code w-36 max-w-36 truncate">{row.code}</td>
          <td class="max-w-56 truncate">{row.line}</td>
          <td><s class="text-soft">{row.before}</s> → {row.after}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if seen.changed > SHOWN}
    <p class="mt-1 text-[13px] text-soft">and more like these</p>
  {/if}
{/if}
<div class="mt-4 flex justify-end">
  <button
    class="button main"
    disabled={busy || !seen || !same || preview.isFetching || seen.changed === 0}
    onclick={() => void apply()}>Change {seen ? count(seen.changed, 'line') : 'them'}</button
  >
</div>
