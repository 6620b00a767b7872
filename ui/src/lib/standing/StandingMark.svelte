<script lang="ts">
  import type { Standing } from '$lib/api/client';
  import { standingLabel } from './standing';

  let { standing }: { standing: Standing } = $props();

  const colours: Record<Standing, string> = {
    DRAFT: 'text-soft',
    CHECKED: 'text-note',
    RELEASED: 'text-working',
    RETIRED: 'text-soft'
  };
</script>

<span class="inline-flex items-center gap-1.5 whitespace-nowrap">
  <svg
    class={colours[standing]}
    width="18"
    height="12"
    viewBox="0 0 18 12"
    aria-hidden="true"
    fill="none"
    stroke="currentColor"
    stroke-width="1.6"
  >
    {#if standing === 'DRAFT'}
      <path d="M0 6h18" stroke-dasharray="3 2" />
    {:else if standing === 'CHECKED'}
      <path d="M0 6h5.5M12.5 6H18" />
      <circle cx="9" cy="6" r="3.5" />
    {:else if standing === 'RELEASED'}
      <path d="M0 6h18" />
      <circle cx="9" cy="6" r="3.5" fill="currentColor" />
    {:else}
      <path d="M0 6h18M5 2l8 8" />
    {/if}
  </svg>
  {standingLabel(standing)}
</span>
