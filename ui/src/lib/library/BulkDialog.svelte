<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { Debounced } from 'runed';
  import type { BulkBody } from '$lib/api/client';
  import FactorForm from '$lib/cutting/FactorForm.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import { patternFieldsQuery } from '$lib/naming/queries';
  import { settings } from '$lib/shell/settings.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { freshName } from '$lib/shell/freshName';
  import { changed } from '$lib/shell/live.svelte';
  import { capital, count } from '$lib/shell/text';
  import { changeAll, stopChanging } from './actions';
  import { bulkPreviewQuery } from './queries';

  let {
    tools,
    library,
    onclose
  }: {
    /** Ids. */
    tools: number[];
    /** Whose list shows them; null for a list of all libraries. */
    library: number | null;
    onclose: () => void;
  } = $props();

  type Kind = 'VALUE' | 'FORMULA' | 'REPLACE';
  const kinds: { kind: Kind | 'CUTTING'; title: string }[] = [
    { kind: 'VALUE', title: 'One value' },
    { kind: 'FORMULA', title: 'By a formula' },
    { kind: 'REPLACE', title: 'Words in names' },
    { kind: 'CUTTING', title: 'Cutting data' }
  ];
  /** So many tools are shown of what changes and of what cannot. */
  const SHOWN = 8;
  /** So many tools are named for a reason. */
  const NAMED = 4;

  let open = $state(true);
  let kind = $state<Kind | 'CUTTING'>('VALUE');
  let symbol = $state('');
  let text = $state('');
  let replacement = $state('');
  let alike = $state(true);
  let work = $state('');
  const busy = $derived(work !== '');

  const fields = createQuery(patternFieldsQuery);
  const known = $derived(
    (fields.data?.items ?? []).filter(({ symbol: one }) => /^[A-Z]/.test(one))
  );
  const property = $derived(known.find(({ symbol: one }) => one === symbol.trim().toUpperCase()));
  const whole = $derived(
    kind === 'REPLACE' ? text !== '' : property !== undefined && (kind === 'VALUE' || text.trim())
  );
  const order = $derived<BulkBody>({
    tools,
    kind: kind === 'CUTTING' ? undefined : kind,
    symbol: kind === 'REPLACE' ? undefined : property?.symbol,
    text,
    with: kind === 'REPLACE' ? replacement : undefined,
    alike
  });
  const settled = new Debounced(() => order, 250);
  const same = $derived(JSON.stringify(settled.current) === JSON.stringify(order));
  const preview = createQuery(() => ({
    ...bulkPreviewQuery(settled.current),
    enabled: Boolean(whole) && !busy && same
  }));
  const seen = $derived(whole ? preview.data : undefined);
  const current = $derived(seen && !preview.isFetching && same);

  /** Why tools cannot be changed, each reason once. */
  const reasons = $derived.by(() => {
    const codes: Record<string, string[]> = {};
    for (const { code, why } of seen?.left ?? []) (codes[why] ??= []).push(code);
    return Object.entries(codes).map(([why, some]) => ({
      why,
      codes: some.slice(0, NAMED).join(', ') + (some.length > NAMED ? ' and others' : '')
    }));
  });

  $effect(() => {
    if (!open) onclose();
  });

  async function apply() {
    if (!seen) return;
    work = freshName();
    const done = await changeAll({ ...order, expected: seen.changed, work }, library);
    work = '';
    if (done) open = false;
  }
</script>

<DialogFrame bind:open title="Change {count(tools.length, 'tool')}">
  <div class="flex gap-1" role="group" aria-label="How">
    {#each kinds as one (one.kind)}
      <button
        class={['button', kind === one.kind && 'border-working!']}
        aria-pressed={kind === one.kind}
        disabled={busy}
        onclick={() => ((kind = one.kind), (text = ''))}>{one.title}</button
      >
    {/each}
  </div>
  {#if kind === 'CUTTING'}
    <FactorForm {tools} ondone={() => (open = false)} />
  {:else}
    <div class="mt-4 flex flex-wrap items-center gap-2">
      {#if kind === 'REPLACE'}
        <input class="field w-56" aria-label="Find" placeholder="find" bind:value={text} />
        <span>becomes</span>
        <input
          class="field w-56"
          aria-label="Replace with"
          placeholder="nothing"
          bind:value={replacement}
        />
        <label class="flex items-center gap-2">
          <input type="checkbox" bind:checked={alike} /> capitals as written
        </label>
      {:else}
        <input
          class="field code w-28"
          aria-label="Property"
          placeholder="property"
          list="bulk-properties"
          autocomplete="off"
          bind:value={symbol}
        />
        <datalist id="bulk-properties">
          {#each known as one (one.symbol)}<option value={one.symbol}>{one.name}</option>{/each}
        </datalist>
        <span>=</span>
        <input
          class={['field flex-1', kind === 'FORMULA' && 'code']}
          aria-label={kind === 'FORMULA' ? 'Formula' : 'Value'}
          placeholder={kind === 'FORMULA' ? 'APMX + 2' : 'empty takes it away'}
          bind:value={text}
        />
        <span class="text-soft">{property?.name ?? ''}</span>
      {/if}
    </div>
    {#if kind !== 'REPLACE' && settings.unit === 'in'}
      <p class="mt-1 text-[13px] text-soft">
        Numbers without a unit are in the property's own; write 0.5 in for inches.
      </p>
    {/if}
    {#if preview.error && whole}
      <p role="alert" class="mt-3 text-hold">{capital((preview.error as Error).message)}</p>
    {:else if seen}
      <p class="mt-4" role="status">
        <strong>{count(seen.changed, 'tool')}</strong>
        {seen.changed === 1 ? 'changes' : 'change'}{seen.same > 0
          ? `, ${seen.same} ${seen.same === 1 ? 'is' : 'are'} so already`
          : ''}{seen.refused > 0 ? `, ${seen.refused} cannot` : ''}
      </p>
      <ul class="mt-2 grid gap-1 text-[13px]">
        {#each reasons.slice(0, SHOWN) as reason (reason.why)}
          <li class="flex gap-2">
            <Mark kind="hold" word="" />
            <span>{capital(reason.why)}: <span class="code">{reason.codes}</span></span>
          </li>
        {/each}
      </ul>
      <table class="rows mt-2 w-full text-[13px]">
        <tbody>
          {#each seen.edited.slice(0, SHOWN) as row (row.toolId)}
            <tr>
              <td class="code w-36 max-w-36 truncate">{row.code}</td>
              <td><s class="text-soft">{row.before || 'none'}</s> → {row.after || 'none'}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      {#if seen.changed > SHOWN}
        <p class="mt-1 text-[13px] text-soft">and more like these</p>
      {/if}
    {/if}
    <div class="mt-4 flex items-center justify-end gap-3">
      {#if busy}
        <span role="status" class="text-soft">{changed(work) || 'Changing'} …</span>
        <button class="button" onclick={() => void stopChanging(work)}>Stop</button>
      {/if}
      <button
        class="button main"
        disabled={busy || !current || !seen || seen.changed === 0}
        onclick={() => void apply()}>Change {seen ? count(seen.changed, 'tool') : 'them'}</button
      >
    </div>
  {/if}
</DialogFrame>
