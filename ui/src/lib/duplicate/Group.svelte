<script lang="ts">
  import type { DuplicateGroup, DuplicateMember, MergeBody } from '$lib/api/client';
  import { fit } from '$lib/drawing/geometry';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import Mark from '$lib/marks/Mark.svelte';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import { capital, count } from '$lib/shell/text';
  import { keepApart } from './actions';
  import MergeToolsDialog from './MergeToolsDialog.svelte';
  import { differenceTable, keptFirst, takenValues } from './table';

  let { group, editable }: { group: DuplicateGroup; editable: boolean } = $props();

  const WIDTH = 150;
  const HEIGHT = 30;
  /** So many differences fit beside what each tool is; the others are shown when asked for. */
  const FIELDS = 4;

  let said = $state<number | null>(null);
  let left = $state<number[]>([]);
  let chosen = $state<Record<string, number>>({});
  let merging = $state(false);

  const kept = $derived(
    group.members.find(({ toolId }) => toolId === (said ?? keptFirst(group))) ?? group.members[0]
  );
  const others = $derived(
    group.members.filter(({ toolId }) => toolId !== kept.toolId && !left.includes(toolId))
  );
  const table = $derived(differenceTable(group));
  let all = $state(false);
  const fields = $derived(all ? table.fields : table.fields.slice(0, FIELDS));
  const scale = $derived(
    fit(
      group.members.flatMap(({ outline }) => (outline ? [outline] : [])),
      WIDTH - 4,
      HEIGHT - 4
    )
  );
  const order = $derived<MergeBody>({
    keep: kept.toolId,
    others: others.map(({ toolId }) => toolId),
    values: takenValues(
      chosen,
      kept.toolId,
      others.map(({ toolId }) => toolId)
    )
  });

  const valueOf = (field: string) => chosen[field] ?? kept.toolId;
  const merged = (member: DuplicateMember) => member === kept || others.includes(member);

  function refers(member: DuplicateMember): string {
    const proven = member.proven ? `, ${member.proven} proven` : '';
    return [
      member.cutting ? `${count(member.cutting, 'line')} of cutting data${proven}` : '',
      member.stacks ? count(member.stacks, 'stack') : '',
      member.planned ? `in ${count(member.planned, 'load plan')}` : ''
    ]
      .filter(Boolean)
      .join(', ');
  }

  function include(member: DuplicateMember, yes: boolean) {
    left = yes ? left.filter((id) => id !== member.toolId) : [...left, member.toolId];
  }
</script>

<section class="overflow-x-auto border-t border-hairline py-2" aria-label={kept.code}>
  <table class="rows w-full table-fixed" style:min-width="{760 + 113 * fields.length}px">
    <thead>
      <tr>
        <th class="w-8"><span class="sr-only">Merge</span></th>
        <th style:width="{WIDTH + 20}px"><span class="sr-only">Silhouette</span></th>
        <th class="w-36">Code</th>
        <th>Name</th>
        {#each fields as field (field)}<th class="number w-[88px]">{field}</th>{/each}
        <th class="w-[22%]">In</th>
        {#if editable}<th class="w-20">Keep</th>{/if}
      </tr>
    </thead>
    <tbody>
      {#each group.members as member (member.toolId)}
        {@const keeps = member === kept}
        <tr class={[!merged(member) && 'text-soft']}>
          <td>
            {#if editable && !keeps}
              <Checkbox
                hidden
                label="Merge {member.code}"
                bind:checked={() => merged(member), (yes) => include(member, yes)}
              />
            {/if}
          </td>
          <td><Silhouette outline={member.outline} width={WIDTH} height={HEIGHT} {scale} /></td>
          <td>
            <a class="code hover:text-working" href="/tools/{member.toolId}">{member.code}</a>
          </td>
          <td>
            <div class="truncate" title={member.name}>{member.name}</div>
          </td>
          {#each fields as field (field)}
            {@const text = table.text(member, field)}
            <td class="number">
              {#if editable && text && merged(member) && text !== table.text(kept, field)}
                <button
                  class={[
                    'text-working hover:underline',
                    valueOf(field) === member.toolId && 'font-semibold'
                  ]}
                  aria-pressed={valueOf(field) === member.toolId}
                  title="Take {field} of {member.code}"
                  onclick={() =>
                    (chosen = {
                      ...chosen,
                      [field]: valueOf(field) === member.toolId ? kept.toolId : member.toolId
                    })}>{text}</button
                >
              {:else}
                <span class={[keeps && valueOf(field) !== kept.toolId && 'text-soft line-through']}
                  >{text || '–'}</span
                >
              {/if}
            </td>
          {/each}
          <td>
            <div class="truncate">
              {#each member.usedIn as used, index (used.libraryId)}
                <a class="hover:text-working" href="/libraries/{used.libraryId}">{used.library}</a>
                <span class="text-soft">{used.number}</span>{index + 1 < member.usedIn.length
                  ? ', '
                  : ''}
              {/each}
            </div>
            {#if refers(member)}<div class="truncate text-[12px] text-soft">
                {capital(refers(member))}
              </div>{/if}
          </td>
          {#if editable}
            <td class="whitespace-nowrap">
              {#if keeps}
                <Mark kind="pass" word="kept" />
              {:else}
                <button
                  class="text-working hover:underline"
                  aria-label="Keep {member.code}"
                  onclick={() => (said = member.toolId)}>Keep</button
                >
              {/if}
            </td>
          {/if}
        </tr>
      {/each}
    </tbody>
  </table>
  <div class="flex flex-wrap items-center gap-x-6 gap-y-1 px-2 pt-1.5">
    {#if editable}
      <div class="flex shrink-0 gap-2">
        <button class="button" disabled={others.length === 0} onclick={() => (merging = true)}>
          Merge into {kept.code}
        </button>
        <button
          class="button quiet"
          disabled={others.length === 0}
          onclick={() => void keepApart([kept.toolId, ...others.map(({ toolId }) => toolId)])}
        >
          Keep apart for good
        </button>
      </div>
    {/if}
    {#if table.fields.length > FIELDS}
      <button class="button quiet" aria-pressed={all} onclick={() => (all = !all)}>
        {all ? 'Fewer differences' : count(table.fields.length - FIELDS, 'more difference')}
      </button>
    {/if}
    <ul class="min-w-0 text-[13px]">
      {#each group.members.filter(({ reasons }) => reasons.length > 0) as member (member.toolId)}
        <li>
          {#if group.members.length > 2}<span class="code">{member.code}</span>{/if}
          {member.percent} % sure:
          {#each member.reasons as reason, index (index)}
            <span class={reason.speaksFor ? 'text-working' : 'text-query'}>{reason.text}</span
            >{index + 1 < member.reasons.length ? ', ' : ''}
          {/each}
        </li>
      {/each}
    </ul>
  </div>
  {#if group.tools > group.members.length}
    <p class="px-2 pt-1 text-soft">
      {group.tools - group.members.length} more are like these; they come up once these are decided.
    </p>
  {/if}
</section>

{#if merging}
  <MergeToolsDialog
    {order}
    kept={kept.code}
    codes={others.map(({ code }) => code)}
    onclose={() => (merging = false)}
  />
{/if}
