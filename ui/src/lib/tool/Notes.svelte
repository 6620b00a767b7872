<script lang="ts">
  import type { Draft } from './draft.svelte';

  /** Characters in a line of the field, about. */
  const WIDTH = 24;

  let { draft, readonly = false }: { draft: Draft; readonly?: boolean } = $props();

  let heading = $state('');
  const written = $derived(Object.entries(draft.notes).sort(([a], [b]) => a.localeCompare(b)));
  let adding = $state(false);

  /** A note under a heading that is there already goes below the other. */
  function add(text: string) {
    if (text.trim() === '') return;
    const before = draft.notes[heading.trim()];
    draft.note(heading.trim(), before ? `${before}\n${text.trim()}` : text.trim());
    heading = '';
    adding = false;
  }

  /** Room for a text in a narrow field. */
  const rowsOf = (text: string) =>
    Math.min(
      6,
      text.split('\n').reduce((sum, line) => sum + 1 + Math.floor(line.length / WIDTH), 0)
    );
</script>

{#if written.length > 0 || !readonly}
  <section aria-label="Notes">
    <div class="flex items-baseline gap-3 px-5 pb-1 pt-3">
      <h2>Notes</h2>
      {#if !readonly && !adding}
        <button class="button quiet h-6!" onclick={() => (adding = true)}>Add a note</button>
      {/if}
    </div>
    <dl class="notes px-5">
      {#each written as [title, text] (title)}
        <dt class="truncate text-soft" {title}>{title || 'Note'}</dt>
        <dd>
          {#if readonly}
            <span class="whitespace-pre-wrap">{text}</span>
          {:else}
            <textarea
              class="field h-auto! w-full resize-y py-1"
              rows={rowsOf(text)}
              aria-label={title || 'Note'}
              value={text}
              onchange={(event) => draft.note(title, event.currentTarget.value)}></textarea>
          {/if}
        </dd>
      {/each}
      {#if adding}
        <dt>
          <input
            class="field w-full"
            placeholder="Heading"
            aria-label="Heading of the note"
            maxlength="60"
            bind:value={heading}
          />
        </dt>
        <dd>
          <textarea
            class="field h-auto! w-full resize-y py-1"
            rows="2"
            maxlength="4000"
            aria-label="New note"
            onchange={(event) => add(event.currentTarget.value)}></textarea>
        </dd>
      {/if}
    </dl>
  </section>
{/if}

<style>
  .notes {
    display: grid;
    grid-template-columns: 152px minmax(0, 1fr);
    gap: 4px 12px;
    align-items: start;
  }
</style>
