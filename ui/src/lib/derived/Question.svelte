<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { UpdateQuestion } from '$lib/api/client';
  import Overlay from '$lib/drawing/Overlay.svelte';
  import { fieldTitle } from '$lib/edition/fields';
  import { capital } from '$lib/shell/text';
  import { propertiesQuery } from '$lib/tool/queries';

  let {
    question,
    base,
    side,
    onanswer
  }: {
    question: UpdateQuestion;
    /** Name of the base. */
    base: string;
    side: 'OURS' | 'THEIRS' | undefined;
    onanswer: (side: 'OURS' | 'THEIRS') => void;
  } = $props();

  const properties = createQuery(propertiesQuery);
  const names = $derived(
    Object.fromEntries((properties.data ?? []).map(({ symbol, name }) => [symbol, name]))
  );
  const whole = $derived(question.field === '*');
  const title = $derived(
    whole
      ? 'Does the tool stay?'
      : question.field === 'code'
        ? 'Code'
        : capital(fieldTitle(question.field, names))
  );
  const choices = $derived([
    {
      side: 'OURS' as const,
      head: 'as here',
      text: whole
        ? question.ours == null
          ? 'It stays out'
          : 'It stays, with the changes made here'
        : (question.ours ?? 'taken away')
    },
    {
      side: 'THEIRS' as const,
      head: `as in ${base}`,
      text: whole
        ? question.theirs == null
          ? 'It goes out'
          : 'It comes in again, as it is there now'
        : (question.theirs ?? 'taken away')
    }
  ]);
</script>

<section class="border-b border-hairline py-3" aria-label="{question.code}: {title}">
  <div class="flex flex-wrap items-baseline gap-3">
    {#if question.toolId}
      <a class="code font-semibold hover:text-working" href="/tools/{question.toolId}"
        >{question.code}</a
      >
    {:else}
      <span class="code font-semibold">{question.code}</span>
    {/if}
    <span>{question.name}</span>
    <span class="text-soft">{title}</span>
    {#if question.before && !whole}
      <span class="text-[13px] text-soft">before: {question.before}</span>
    {/if}
  </div>
  {#if question.ourOutline || question.theirOutline}
    <Overlay
      before={question.ourOutline}
      after={question.theirOutline}
      label="{question.code} here (dashed) and in {base} (filled), to scale"
    />
  {/if}
  <div class="mt-1 grid gap-2 sm:grid-cols-2" role="radiogroup" aria-label={title}>
    {#each choices as choice (choice.side)}
      <button
        role="radio"
        aria-checked={side === choice.side}
        class={[
          'rounded border px-3 py-2 text-left hover:bg-faint',
          side === choice.side ? 'border-working bg-faint' : 'border-hairline'
        ]}
        onclick={() => onanswer(choice.side)}
      >
        <span class="block text-[13px] text-soft">{choice.head}</span>
        <span class="block whitespace-normal">{choice.text}</span>
      </button>
    {/each}
  </div>
</section>
