<script lang="ts">
  import Mark from '$lib/marks/Mark.svelte';
  import { capital } from '$lib/shell/text';
  import type { Draft } from './draft.svelte';

  let { draft }: { draft: Draft } = $props();

  /** What follows from other values stands at its field and is nothing to object. */
  const others = $derived(
    draft.findings.filter(
      (finding) => !draft.needed.includes(finding) && !finding.code.startsWith('implied.')
    )
  );
  const held = $derived(draft.needed.some((finding) => finding.severity === 'HOLD'));
</script>

<section aria-label="Findings" aria-live="polite">
  <h2 class="px-5 pb-1 pt-3">Findings</h2>
  {#if others.length === 0 && draft.needed.length === 0}
    <p class="px-5"><Mark kind="pass" word="nothing to object" /></p>
  {:else}
    <ul class="px-5">
      {#if draft.needed.length > 0}
        <li class="flex gap-3 py-1">
          <Mark kind={held ? 'hold' : 'query'} />
          <span
            >Needed still: {draft.needed.map((finding) => finding.properties[0]).join(', ')}</span
          >
        </li>
      {/if}
      {#each others as finding, index (index)}
        <li class="flex gap-3 py-1">
          <Mark kind={finding.severity.toLowerCase() as 'hold'} />
          <span>{capital(finding.message)}</span>
        </li>
      {/each}
    </ul>
  {/if}
</section>
