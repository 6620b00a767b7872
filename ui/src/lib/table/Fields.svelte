<script lang="ts">
  import { FIELD_TRACKS } from './fields';
  import type { ReportRow } from '$lib/api/client';

  let { row }: { row: ReportRow } = $props();
</script>

<div class="fields" style:grid-template-columns={FIELD_TRACKS}>
  {#each row.fields as field (field.field)}
    <span class="text-soft">{field.title}</span>
    <span class="code" title="plan">{field.plan ?? '–'}</span>
    <span class="code text-soft" title="last agreed">{field.agreed ?? '–'}</span>
    <span class="code text-note" title="control">{field.control ?? '–'}</span>
  {:else}
    <span class="text-soft">all</span>
    <span class="code">{row.plan.length ?? ''}</span>
    <span></span>
    <span class="code text-note">{row.control.length ?? ''}</span>
  {/each}
</div>

<style>
  .fields {
    display: grid;
    gap: 2px 12px;
  }
  .fields span {
    overflow-wrap: anywhere;
  }
</style>
