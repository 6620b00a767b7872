<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { LibraryLine } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital, count, moment } from '$lib/shell/text';
  import { libraryComparedQuery } from './queries';

  let {
    id,
    lines,
    from
  }: {
    id: number;
    /** The newest first. */
    lines: LibraryLine[];
    /** The earlier of the states that are compared is that after this line. */
    from: LibraryLine;
  } = $props();

  const NOW = 'now';
  let until = $state(NOW);
  const later = $derived(lines.slice(1, lines.indexOf(from)));
  /** The chosen line, as long as it is later than the other. */
  const to = $derived(later.find((line) => String(line.id) === until)?.id);
  const compared = createQuery(() => libraryComparedQuery(id, from.id, to));
  const shown = $derived(compared.data);

  const words = { ADDED: 'came,', REMOVED: 'gone,', CHANGED: '' } as const;
  const colours = { ADDED: 'text-working', REMOVED: 'text-hold', CHANGED: 'text-query' } as const;

  function sum(): string {
    if (!shown) return '';
    const parts = [
      shown.added > 0 ? `${count(shown.added, 'tool')} came` : '',
      shown.removed > 0 ? `${shown.removed} gone` : '',
      shown.changed > 0 ? `${shown.changed} otherwise` : ''
    ].filter(Boolean);
    return parts.join(', ') || (shown.settings ? '' : 'It holds the same tools in the same way');
  }
</script>

<section aria-label="What changed" class="min-w-0">
  <h2>Since {moment(from.at)}</h2>
  <div class="mt-1 flex items-center gap-2">
    <span class="text-soft">until</span>
    <Choice
      label="Until"
      bind:value={() => (to === undefined ? NOW : until), (next) => (until = next)}
      options={[
        { value: NOW, label: 'now' },
        ...later.map((line) => ({
          value: String(line.id),
          label: `${moment(line.at)}, ${line.text}`
        }))
      ]}
    />
  </div>
  {#if compared.isPending}
    <p class="mt-3 text-soft" role="status">Comparing …</p>
  {:else if shown}
    {#if sum()}<p class="mt-3" role="status">{sum()}</p>{/if}
    {#if shown.settings}<p class="mt-1">{capital(shown.settings)}</p>{/if}
    <table class="rows mt-2 w-full text-[13px]">
      <tbody>
        {#each shown.tools as tool (tool.toolId)}
          <tr>
            <td class="code w-36 max-w-36 truncate">
              <a class="hover:text-working" href="/tools/{tool.toolId}">{tool.code}</a>
            </td>
            <td>
              <span class={colours[tool.became]}>{words[tool.became]}</span>
              {tool.changes.join(', ')}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if shown.added + shown.removed + shown.changed > shown.tools.length}
      <p class="mt-1 text-[13px] text-soft">and more like these</p>
    {/if}
  {/if}
  <NotLoaded query={compared} />
</section>
