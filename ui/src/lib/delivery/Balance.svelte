<script lang="ts">
  import type { Delivery } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';

  type Part = 'pass' | 'query' | 'hold' | 'skipped';

  let {
    delivery,
    chosen,
    onchoose
  }: { delivery: Delivery; chosen: string; onchoose: (part: string) => void } = $props();

  const parts: Part[] = ['pass', 'query', 'hold', 'skipped'];
  const colours: Record<Part, string> = {
    pass: 'var(--working)',
    query: 'var(--query)',
    hold: 'var(--hold)',
    skipped: 'var(--steel-dark)'
  };
</script>

<div>
  <div class="flex flex-wrap items-center gap-x-2 gap-y-1" role="group" aria-label="Lines">
    <button
      class={['button quiet text-ink!', chosen === '' && 'bg-faint!']}
      aria-pressed={chosen === ''}
      onclick={() => onchoose('')}
    >
      <strong class="text-[17px]">{delivery.read.toLocaleString('en')}</strong> read
    </button>
    {#each parts as part, index (part)}
      <span class="text-soft" aria-hidden="true">{index === 0 ? '=' : '+'}</span>
      <button
        class={['button quiet', chosen === part && 'bg-faint!']}
        aria-pressed={chosen === part}
        onclick={() => onchoose(part)}
      >
        <strong class="text-[17px] text-ink">{delivery[part].toLocaleString('en')}</strong>
        <Mark kind={part} />
      </button>
    {/each}
  </div>
  <div class="mt-1 flex h-1.5 w-full gap-px" aria-hidden="true">
    {#each parts as part (part)}
      {#if delivery[part] > 0}
        <span style:flex={delivery[part]} style:background={colours[part]}></span>
      {/if}
    {/each}
  </div>
</div>
