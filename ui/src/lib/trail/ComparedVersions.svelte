<script lang="ts">
  import type { ComponentProps } from 'svelte';
  import Strip from '$lib/drawing/Strip.svelte';
  import Choice from '$lib/shell/Choice.svelte';

  let {
    options,
    from,
    to,
    drawn,
    differences
  }: {
    /** Versions to choose from. */
    options: { value: string; label: string }[];
    /** The earlier one and what is done when another is chosen. */
    from: { version: number; choose: (version: number) => void };
    to: { version: number; choose: (version: number) => void };
    /** Both as they look; empty where they have no shape. */
    drawn: ComponentProps<typeof Strip>['tools'];
    /** Nothing while they are still compared. */
    differences?: { title: string; here: string; there: string }[];
  } = $props();
</script>

<!-- Two versions of one thing: drawn on one line, and what differs. -->
<div class="flex flex-wrap items-center gap-2">
  <Choice
    label="Earlier version"
    bind:value={() => String(from.version), (next) => from.choose(Number(next))}
    {options}
  />
  <span>with</span>
  <Choice
    label="Later version"
    bind:value={() => String(to.version), (next) => to.choose(Number(next))}
    {options}
  />
</div>
{#if differences}
  {#if drawn.length > 0}
    <div class="-mx-5 mt-3"><Strip tools={drawn} /></div>
  {/if}
  <table class="rows mt-3 w-full">
    <thead>
      <tr><th></th><th>Version {from.version}</th><th>Version {to.version}</th></tr>
    </thead>
    <tbody>
      {#each differences as difference (difference.title)}
        <tr>
          <td class="text-soft">{difference.title}</td>
          <td class="max-w-56 break-words">{difference.here || 'none'}</td>
          <td class="max-w-56 break-words">{difference.there || 'none'}</td>
        </tr>
      {:else}
        <tr><td colspan="3" class="text-soft">They say the same.</td></tr>
      {/each}
    </tbody>
  </table>
{/if}
