<script lang="ts">
  import DialogFrame from './DialogFrame.svelte';

  let { open = $bindable(false) }: { open: boolean } = $props();

  const keys: [string, string][] = [
    ['Ctrl K', 'go to any place, library, machine or tool class'],
    ['/', 'search in the list'],
    ['?', 'this list'],
    ['Arrow keys', 'move the row cursor, or from pocket to pocket'],
    ['Space', 'hang the tool on the strip, or pick it up'],
    ['Enter', 'open the tool, or put it into the pocket'],
    ['Ctrl S', 'save the sheet'],
    ['Delete', 'take the tool out of library or pocket'],
    ['Escape', 'put down what was picked up, close what is open']
  ];
</script>

<DialogFrame bind:open title="Keys">
  <dl class="grid grid-cols-[120px_1fr] gap-y-2">
    {#each keys as [key, what] (key)}
      <dt><kbd class="code">{key}</kbd></dt>
      <dd>{what}</dd>
    {/each}
  </dl>
</DialogFrame>
