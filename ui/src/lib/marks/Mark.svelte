<script lang="ts">
  type Kind =
    'hold' | 'query' | 'note' | 'pass' | 'skipped' | 'in step' | 'differs' | 'unknown tool';

  let { kind, word = kind }: { kind: Kind; word?: string } = $props();

  const colours: Record<Kind, string> = {
    hold: 'text-hold',
    query: 'text-query',
    note: 'text-note',
    pass: 'text-working',
    skipped: 'text-soft',
    'in step': 'text-working',
    differs: 'text-query',
    'unknown tool': 'text-note'
  };
</script>

<span class={['inline-flex items-center gap-1.5 whitespace-nowrap', colours[kind]]}>
  <svg
    width="18"
    height="12"
    viewBox="0 0 18 12"
    aria-hidden="true"
    fill="none"
    stroke="currentColor"
    stroke-width="1.6"
  >
    {#if kind === 'hold'}
      <rect x="4" y="1" width="10" height="10" fill="currentColor" stroke="none" />
    {:else if kind === 'query'}
      <path d="M9 1 14 6 9 11 4 6Z" />
    {:else if kind === 'note' || kind === 'unknown tool'}
      <circle cx="9" cy="6" r="4" />
    {:else if kind === 'skipped'}
      <path d="M7 6h4" />
    {:else if kind === 'differs'}
      <path d="M0 4h7M11 8h7" />
    {:else}
      <path d="M0 6h18" />
    {/if}
  </svg>
  {word}
</span>
