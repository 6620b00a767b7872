<script lang="ts">
  import type { Applied } from '$lib/api/client';
  import { count } from '$lib/shell/text';

  let {
    applied,
    word
  }: {
    applied: Applied;
    /** What places of the machine are called. */
    word: string;
  } = $props();

  const places = (some: string[]) => `${some.length === 1 ? word : `${word}s`} ${some.join(', ')}`;
</script>

<div
  role="status"
  class={[
    'm-5 border-l-4 py-2 pl-4',
    applied.state === 'in step' ? 'border-working' : 'border-hold'
  ]}
>
  {#if applied.state === 'in step'}
    <p class="font-semibold">
      Written, read back and equal{applied.written.length
        ? `: ${count(applied.written.length, word)}`
        : ''}.
    </p>
  {:else if applied.state === 'not read back'}
    <p class="font-semibold">Sent, but {applied.problem}.</p>
  {:else}
    <p class="font-semibold">Interrupted: {applied.problem}.</p>
    <p>
      {`Not written: ${places(applied.notWritten)}. Compare below and run again; what is written stays written.`}
    </p>
  {/if}
  {#if applied.written.length}<p>{`Written: ${places(applied.written)}.`}</p>{/if}
  {#if applied.taken.length}<p>{`Taken into the plan: ${places(applied.taken)}.`}</p>{/if}
</div>
