<script lang="ts">
  import Mark from '$lib/marks/Mark.svelte';
  import { capital } from '$lib/shell/text';
  import type { Draft } from './draft.svelte';

  let { draft }: { draft: Draft } = $props();

  const others = $derived(draft.findings.filter((each) => !draft.needed.includes(each)));
</script>

<section aria-label="Findings" aria-live="polite">
  <h2 class="px-5 pb-1 pt-3">Findings</h2>
  {#if draft.findings.length === 0}
    <p class="px-5"><Mark kind="pass" word="nothing to object" /></p>
  {:else}
    <ul class="px-5">
      {#if draft.needed.length > 0}
        <li class="flex gap-3 py-1">
          <Mark kind="hold" />
          <span>Needed still: {draft.needed.map((each) => each.properties[0]).join(', ')}</span>
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
