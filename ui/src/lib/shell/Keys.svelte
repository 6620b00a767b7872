<script lang="ts">
  import DialogFrame from './DialogFrame.svelte';

  let { open = $bindable(false) }: { open: boolean } = $props();

  const keys: [string, string][] = [
    ['Ctrl K', 'go to any place, library, machine or tool class'],
    ['/', 'search in the list'],
    ['?', 'this list'],
    ['Arrow keys', 'move the row cursor, or from pocket to pocket'],
    ['Space', 'choose the tool, which hangs it on the strip, or pick it up'],
    ['Shift', 'with a click or an arrow key: choose all up to there'],
    ['Ctrl A', 'choose all that are listed so far'],
    ['B', 'put what is chosen into the basket'],
    ['Ctrl C  Ctrl V', 'copy tools from one library into another, or rows to a spreadsheet'],
    ['Alt ↑  Alt ↓', 'move a line of the basket, or a section'],
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
