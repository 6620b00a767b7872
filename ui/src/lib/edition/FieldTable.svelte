<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { capital } from '$lib/shell/text';
  import { propertiesQuery } from '$lib/tool/queries';
  import { fieldSymbol, fieldTitle } from './fields';

  let {
    fields
  }: {
    fields: {
      name: string;
      before?: string | null;
      after?: string | null;
      writing: boolean;
    }[];
  } = $props();

  const properties = createQuery(propertiesQuery);
  const names = $derived(
    Object.fromEntries((properties.data ?? []).map(({ symbol, name }) => [symbol, name]))
  );
</script>

<table class="w-full text-[13px]">
  <tbody>
    {#each fields as field (field.name)}
      <tr class="align-top">
        <td class="code w-20 py-0.5 text-soft">{fieldSymbol(field.name)}</td>
        <td class="w-64 py-0.5 pr-4">{capital(fieldTitle(field.name, names))}</td>
        <td class="py-0.5">
          {#if field.before}<del class="text-hold">{field.before}</del>{/if}
          {#if field.after}<ins class="ml-2 text-working no-underline">{field.after}</ins
            >{:else}<span class="ml-2 text-soft">taken away</span>{/if}
          {#if field.writing}<span class="ml-2 text-soft">the same size</span>{/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>
