<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import type { Standing } from '$lib/api/client';
  import { standings } from './standing';
  import StandingMark from './StandingMark.svelte';

  let {
    label,
    now,
    onmove,
    children
  }: {
    /** What the button is for. */
    label: string;
    /** The standing that is not offered again. */
    now?: Standing;
    onmove: (to: Standing) => void;
    children: Snippet;
  } = $props();
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="button" aria-label={label} title={label}>
    {@render children()} <span aria-hidden="true">▾</span>
  </DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content class="floating z-50 min-w-64 p-1" align="end" sideOffset={4}>
      {#each standings as { value, meaning } (value)}
        <DropdownMenu.Item
          class="flex cursor-pointer justify-between gap-6 rounded-sm px-3 py-1.5 data-disabled:cursor-default data-disabled:opacity-50 data-highlighted:bg-faint"
          disabled={value === now}
          onSelect={() => onmove(value)}
        >
          <StandingMark standing={value} />
          <span class="text-soft">{meaning}</span>
        </DropdownMenu.Item>
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
