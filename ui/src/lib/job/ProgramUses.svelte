<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { JobView } from '$lib/api/client';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import { capital } from '$lib/shell/text';
  import { ALWAYS, usesText } from './words';

  let {
    tool,
    possible,
    may,
    state: changeTo
  }: {
    tool: JobView['tools'][number];
    /** What programs may do with a tool. */
    possible: string[];
    may: boolean;
    /** Says what the program does with it; none for what is usual. */
    state: (uses: string[]) => void;
  } = $props();

  const uses = $derived(tool.uses.length > 0 ? tool.uses : tool.usualUses);

  function set(use: string, there: boolean) {
    const now = possible.filter((one) => (one === use ? there : uses.includes(one)));
    const usual = now.join() === tool.usualUses.join();
    changeTo(usual ? [] : now);
  }
</script>

{#if may}
  <Popover.Root>
    <Popover.Trigger
      class="text-left hover:text-working {tool.uses.length === 0 ? 'text-soft' : ''}"
      aria-label="What the program does with {tool.code}: {usesText(tool)}"
    >
      {capital(usesText(tool))} <span class="text-soft" aria-hidden="true">▾</span>
    </Popover.Trigger>
    <Popover.Portal>
      <Popover.Content class="floating z-50 w-72 p-3" align="start" sideOffset={4}>
        <p class="font-semibold">What the program does with {tool.code}</p>
        <p class="mt-1 text-soft">
          Every program moves it plainly. Only the values that these uses need have to stand in the
          tool table.
        </p>
        <ul class="mt-2">
          {#each possible as use (use)}
            <li class="py-1">
              <Checkbox
                label={capital(use)}
                disabled={use === ALWAYS}
                bind:checked={() => uses.includes(use), (there) => set(use, there)}
              />
            </li>
          {/each}
        </ul>
        <button class="button mt-2" disabled={tool.uses.length === 0} onclick={() => changeTo([])}
          >As usual for such a tool</button
        >
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
{:else}
  <span class={{ 'text-soft': tool.uses.length === 0 }}>{capital(usesText(tool))}</span>
{/if}
