<script lang="ts" generics="Row">
  import { Popover } from 'bits-ui';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import { capital } from '$lib/shell/text';
  import { isShown, shownColumns, type Column, type ColumnSet } from './columns';

  let {
    label,
    columns,
    sets = [],
    chosen = $bindable(),
    quiet = false
  }: {
    label: string;
    columns: Column<Row>[];
    sets?: ColumnSet[];
    chosen: string[] | null;
    /** True where it shows only while the grid is pointed at or has the focus. */
    quiet?: boolean;
  } = $props();

  const offered = $derived(columns.filter((column) => !column.fixed));
  const shown = $derived(shownColumns(columns, chosen).map((column) => column.id));

  function set(id: string, there: boolean) {
    chosen = there ? [...shown, id] : shown.filter((other) => other !== id);
  }
</script>

{#if offered.length > 0}
  <Popover.Root>
    <Popover.Trigger
      class={[
        'bg-paper absolute right-0 top-px flex h-[28px] w-10 items-center justify-center text-soft hover:text-working',
        quiet &&
          'opacity-0 focus-visible:opacity-100 group-focus-within:opacity-100 group-hover:opacity-100'
      ]}
      aria-label="Columns of {label.toLowerCase()}"
      title="Columns"
    >
      <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
        <path d="M1.5 2v10M5.5 2v10M9.5 2v5M12 8v5M9.5 10.5h5" stroke="currentColor" fill="none" />
      </svg>
    </Popover.Trigger>
    <Popover.Portal>
      <Popover.Content class="floating z-50 w-72 p-3" align="end" sideOffset={4}>
        <p class="font-semibold">Columns</p>
        {#if sets.length > 0}
          <div class="mt-2 flex flex-wrap gap-1" role="group" aria-label="Sets of columns">
            <button class="button" aria-pressed={chosen === null} onclick={() => (chosen = null)}
              >What fits</button
            >
            {#each sets as one (one.name)}
              <button
                class="button"
                aria-pressed={isShown(one, chosen)}
                onclick={() => (chosen = [...one.columns])}>{one.name}</button
              >
            {/each}
          </div>
        {/if}
        <div class="mt-2 grid max-h-80 gap-1 overflow-auto">
          {#each offered as column (column.id)}
            <Checkbox
              label={capital(column.name ?? column.title)}
              bind:checked={() => shown.includes(column.id), (there) => set(column.id, there)}
            />
          {/each}
        </div>
        {#if chosen !== null && sets.length === 0}
          <button class="button quiet mt-2" onclick={() => (chosen = null)}>
            Show the usual ones
          </button>
        {/if}
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
{/if}
