<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { LinkKind } from '$lib/api/client';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { touchesQuery } from './queries';
  import { kindWords } from './words';

  let { kind, id, name }: { kind: LinkKind; id: string; name: string } = $props();

  let open = $state(false);
  const touched = createQuery(() => ({ ...touchesQuery(kind, id), enabled: open }));
</script>

<button class="button quiet" onclick={() => (open = true)}>What it touches</button>

{#if open}
  <DialogFrame
    open
    title="What a change of {name} would touch"
    hint="Before anything is changed."
    onclose={() => (open = false)}
  >
    <NotLoaded query={touched} />
    {#if touched.data}
      <div
        class="grid max-h-[60vh] grid-cols-[auto_minmax(0,1fr)] gap-x-4 overflow-auto text-[13px]"
      >
        {#each touched.data.items as group (group.kind + group.relation)}
          <div class="line-in flex items-start py-2 pl-4">
            <span class="w-10 text-right text-[15px] font-semibold">{group.count}</span>
          </div>
          <div class="border-b border-hairline py-2">
            <p>{kindWords(group.kind, group.count)} {group.relation}</p>
            <p class="text-soft">
              {#each group.items as item, index (item.id + item.name)}{index > 0
                  ? ', '
                  : ''}{#if item.href}<a class="text-working hover:underline" href={item.href}
                    >{item.name}</a
                  >{:else}{item.name}{/if}{/each}{group.count > group.items.length
                ? ` and ${group.count - group.items.length} more`
                : ''}
            </p>
          </div>
        {:else}
          <p class="col-span-2 text-soft">Nothing hangs on it.</p>
        {/each}
      </div>
    {:else if touched.isLoading}
      <Loading />
    {/if}
  </DialogFrame>
{/if}

<style>
  /* Each group hangs on a line that comes from what is changed. */
  .line-in {
    border-left: 2px solid var(--working);
    background: linear-gradient(var(--working), var(--working)) 0 20px / 14px 2px no-repeat;
  }
</style>
