<script lang="ts">
  import { FIELD_TRACKS } from './fields';
  import type { ReportRow } from '$lib/api/client';

  let { row }: { row: ReportRow } = $props();
</script>

<div class="fields" style:grid-template-columns={FIELD_TRACKS}>
  {#each row.fields as field (field.field)}
    <span class="text-soft">{field.title}</span>
    <span class="code" title="plan"
      >{field.plan ?? '–'}{#if field.planShown}<span
          class="block text-soft"
          title="as the control would show it">= {field.planShown}</span
        >{/if}</span
    >
    <span class="code text-soft" title="last agreed">{field.agreed ?? '–'}</span>
    <span class="code text-note" title="control"
      >{field.control ?? '–'}{#if field.controlTitle && field.control}<span
          class="block font-sans text-[12px] text-soft">{field.controlTitle}</span
        >{/if}</span
    >
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
