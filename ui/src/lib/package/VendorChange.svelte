<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { Line } from '$lib/api/client';
  import { settleLines } from '$lib/delivery/actions';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import PropertyName from '$lib/tool/PropertyName.svelte';
  import { vendorChangeQuery } from './queries';

  let { delivery, line, editable }: { delivery: number; line: Line; editable: boolean } = $props();

  const change = createQuery(() => vendorChangeQuery(delivery, line.id));
  const fields = $derived(change.data?.fields ?? []);
  const asked = $derived(
    fields.some((field) => ['CONFLICT', 'WITHDRAWN', 'UNREAD'].includes(field.outcome))
  );
  /** Fields that are taken from the vendor; null until somebody marks one. */
  let marked = $state<string[] | null>(null);
  let busy = $state(false);
  /** News of the same line do not take away what somebody marked. */
  const lineId = $derived(line.id);
  $effect(() => {
    void lineId;
    marked = null;
  });
  const offered = $derived(
    fields.filter((field) => field.outcome !== 'AGREES' && field.outcome !== 'UNREAD')
  );
  const chosen = $derived.by(() => {
    const wanted =
      marked ??
      line.choice?.fields ??
      offered.filter((field) => field.outcome === 'FOLLOWS').map((field) => field.field);
    return wanted.filter((name) => offered.some((field) => field.field === name));
  });
  const words = {
    FOLLOWS: 'will follow',
    CONFLICT: 'you decide',
    WITHDRAWN: 'no longer said',
    UNREAD: 'could not be read: ours stays unless you correct it',
    AGREES: 'the shop has it'
  };

  function mark(field: string, on: boolean) {
    marked = on ? [...chosen, field] : chosen.filter((one) => one !== field);
  }

  async function settle() {
    busy = true;
    const done = await settleLines(
      delivery,
      chosen.length > 0 ? 'merge' : 'keep',
      [line.id],
      chosen.length > 0 ? chosen : undefined,
      'vendor-conflict'
    );
    busy = false;
    if (done) marked = null;
  }
</script>

{#if fields.length > 0}
  <section aria-label="What the vendor changed">
    <h2 class="mb-1">Changed since {change.data?.before || 'it was taken'}</h2>
    <table class="w-full text-[13px]">
      <thead>
        <tr class="text-left text-soft">
          <th class="w-5 font-normal"><span class="sr-only">Take it</span></th>
          <th class="font-normal">Property</th>
          <th class="font-normal">Vendor</th>
          <th class="font-normal">Ours</th>
        </tr>
      </thead>
      <tbody>
        {#each fields as field (field.field)}
          <tr class="border-t border-hairline align-top">
            <td class="py-1">
              {#if offered.includes(field)}
                <input
                  type="checkbox"
                  aria-label="Take {field.field} from the vendor"
                  disabled={!editable || busy}
                  checked={chosen.includes(field.field)}
                  onchange={(event) => mark(field.field, event.currentTarget.checked)}
                />
              {/if}
            </td>
            <td class="max-w-[130px] py-1 pr-2"><PropertyName symbol={field.field} /></td>
            <td class="min-w-[80px] py-1 pr-2">
              <s class="text-soft">{field.before || 'not said'}</s>
              <span class="block">{field.now || 'no longer said'}</span>
            </td>
            <td class="py-1">
              {field.ours || 'none'}
              <span
                class={[
                  'block text-[12px]',
                  field.outcome === 'FOLLOWS' ? 'text-soft' : 'text-query'
                ]}>{words[field.outcome]}</span
              >
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if editable && (asked || marked)}
      <button class="button mt-2" disabled={busy} onclick={() => void settle()}>
        {chosen.length > 0 ? 'Take what is marked, keep the rest' : 'Keep ours'}
      </button>
    {/if}
  </section>
{/if}
<NotLoaded query={change} />
