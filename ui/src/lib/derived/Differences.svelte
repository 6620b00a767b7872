<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import Overlay from '$lib/drawing/Overlay.svelte';
  import FieldTable from '$lib/edition/FieldTable.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { count } from '$lib/shell/text';
  import { differencesQuery } from './queries';

  let { library, base }: { library: number; base: string } = $props();

  const differences = createQuery(() => differencesQuery(library));
  const shown = $derived(differences.data);
  const lone = $derived([
    { head: `Only here`, count: shown?.ownCount ?? 0, tools: shown?.own ?? [] },
    { head: `Only in ${base}`, count: shown?.outCount ?? 0, tools: shown?.out ?? [] }
  ]);
  const none = $derived(shown && shown.changedCount + shown.ownCount + shown.outCount === 0);
</script>

<section aria-label="What differs here" class="min-w-0">
  <h2>What differs here</h2>
  {#if differences.isPending}
    <p class="mt-2 text-soft" role="status">Comparing …</p>
  {:else if none}
    <p class="mt-2 text-soft">Nothing: every tool is as in the edition that was taken in.</p>
  {:else if shown}
    {#if shown.changedCount > 0}
      <h3 class="mt-3 font-semibold">
        Changed here <span class="text-soft">{shown.changedCount}</span>
      </h3>
      {#each shown.changed as tool (tool.toolId)}
        <details class="group border-b border-hairline py-1">
          <summary class="flex cursor-pointer items-center gap-3">
            <span class="text-soft group-open:rotate-90" aria-hidden="true">▸</span>
            <span class="code w-36 shrink-0 truncate" title={tool.code}>{tool.code}</span>
            <span class="min-w-0 flex-1 truncate">{tool.name}</span>
            <span class="text-soft">{count(tool.fields.length, 'field')}</span>
          </summary>
          <div class="pb-2 pt-1">
            <Overlay
              before={tool.before}
              after={tool.after}
              label="{tool.code} in {base} (dashed) and here (filled), to scale"
            />
            <div class="mt-2"><FieldTable fields={tool.fields} /></div>
            <p class="mt-1">
              <a class="text-working underline" href="/tools/{tool.toolId}">Open the sheet</a>
            </p>
          </div>
        </details>
      {/each}
    {/if}
    {#each lone as group (group.head)}
      {#if group.count > 0}
        <h3 class="mt-4 font-semibold">
          {group.head} <span class="text-soft">{group.count}</span>
        </h3>
        <table class="rows w-full">
          <tbody>
            {#each group.tools as tool (tool.code)}
              <tr>
                <td class="code w-40"
                  >{#if tool.toolId}<a class="hover:text-working" href="/tools/{tool.toolId}"
                      >{tool.code}</a
                    >{:else}{tool.code}{/if}</td
                >
                <td>{tool.name}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    {/each}
  {/if}
  <NotLoaded query={differences} />
</section>
