<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { ProposedChange } from '$lib/api/client';
  import Overlay from '$lib/drawing/Overlay.svelte';
  import { fieldSymbol } from '$lib/edition/fields';
  import Mark from '$lib/marks/Mark.svelte';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import { capital, count } from '$lib/shell/text';
  import { propertiesQuery } from '$lib/tool/queries';
  import { takeOutCollected } from './actions';
  import { kindWords } from './words';

  let {
    change,
    asked,
    take = $bindable(),
    keep = $bindable(),
    collected = null
  }: {
    change: ProposedChange;
    /** True where whoever looks is to answer. */
    asked: boolean;
    take: boolean;
    /** Whose values stand where both changed a field. */
    keep?: 'MINE' | 'THEIRS' | undefined;
    /** In which collection of one's own it stands; null where it is proposed. */
    collected?: { id: number; library: number } | null;
  } = $props();

  const properties = createQuery(propertiesQuery);
  const names = $derived(
    Object.fromEntries((properties.data ?? []).map(({ symbol, name }) => [symbol, name]))
  );
  const title = (field: string) =>
    capital(field === 'NAME' || field === 'NOTES' ? field.toLowerCase() : (names[field] ?? field));
  const outcome = $derived(change.outcome);
  const touched = $derived(change.touched);
</script>

<section class="border-b border-hairline py-3" aria-label="Change {change.place}: {change.code}">
  <div class="flex flex-wrap items-center gap-3">
    {#if asked}
      <Checkbox label="Take {change.code}" hidden bind:checked={take} />
    {/if}
    {#if change.toolId}
      <a class="code font-semibold hover:text-working" href="/tools/{change.toolId}"
        >{change.code}</a
      >
    {:else}
      <span class="code font-semibold">{change.code}</span>
    {/if}
    <span>{change.name}</span>
    <span class="text-soft">{kindWords[change.kind]}</span>
    {#if outcome?.moved}
      <Mark kind="query" word="changed by somebody else since; merged field by field" />
    {/if}
    {#if collected}
      <span class="ml-auto flex gap-2">
        {#if change.kind !== 'RETIRE'}
          <a
            class="button"
            aria-label="Change {change.code} again"
            href={change.toolId
              ? `/tools/${change.toolId}?collected=${collected.id}`
              : `/libraries/${collected.library}/new?collected=${collected.id}&place=${change.place}`}
            >Change again</a
          >
        {/if}
        <button
          class="button"
          aria-label="Take {change.code} out"
          onclick={() => void takeOutCollected(collected.id, change.place)}>Take out</button
        >
      </span>
    {/if}
    {#if change.answer}
      <span class="ml-auto">
        <Mark
          kind={change.answer === 'TAKEN' ? 'pass' : 'skipped'}
          word={change.answer === 'TAKEN' ? 'taken' : 'declined'}
        />
      </span>
    {/if}
  </div>
  {#if outcome}
    <Overlay
      before={outcome.now}
      after={outcome.then}
      label="{change.code} now and as proposed, to scale"
    />
    <table class="mt-1 text-[13px]">
      <tbody>
        {#each outcome.differences as one (one.field)}
          <tr class="align-top">
            <td class="code w-20 py-0.5 text-soft">{fieldSymbol(`values.${one.field}`)}</td>
            <td class="w-64 py-0.5 pr-4">{title(one.field)}</td>
            <td class="py-0.5">
              {#if one.here}<del class="text-hold">{one.here}</del>{/if}
              {#if one.there}<ins class="ml-2 text-working no-underline">{one.there}</ins
                >{:else}<span class="ml-2 text-soft">taken away</span>{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#each outcome.holds as hold (hold.code)}
      <p class="mt-1 flex items-center gap-2 text-hold">
        <Mark kind="hold" word="" />{capital(hold.message)}
      </p>
    {/each}
    {#if outcome.conflicts.length > 0}
      <table class="rows mt-2">
        <thead>
          <tr><th></th><th>Before both</th><th>Now</th><th>Proposed</th></tr>
        </thead>
        <tbody>
          {#each outcome.conflicts as one (one.symbol)}
            <tr>
              <td>{title(one.symbol)}</td>
              <td>{one.base || 'none'}</td>
              <td>{one.theirs || 'none'}</td>
              <td>{one.mine || 'none'}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      {#if asked}
        <fieldset class="mt-1 flex gap-4">
          <legend class="sr-only">Whose values stand</legend>
          <label class="flex items-center gap-1.5">
            <input
              type="radio"
              name="keep-{change.place}"
              checked={keep === 'THEIRS'}
              onchange={() => (keep = 'THEIRS')}
            /> keep what is there now
          </label>
          <label class="flex items-center gap-1.5">
            <input
              type="radio"
              name="keep-{change.place}"
              checked={keep === 'MINE'}
              onchange={() => (keep = 'MINE')}
            /> take what is proposed
          </label>
        </fieldset>
      {/if}
    {/if}
  {/if}
  {#if touched}
    <p class="mt-1 text-[13px] text-soft">
      Touches {touched.machines.length > 0
        ? `the load plan of ${touched.machines.join(', ')}`
        : 'no load plan'}, {touched.stacks > 0
        ? count(touched.stacks, 'stack')
        : 'no stack'}{touched.libraries.length > 1
        ? `, and ${touched.libraries.join(', ')}, which follow it`
        : ''}.
    </p>
  {/if}
</section>
