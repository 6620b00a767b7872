<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital, moment } from '$lib/shell/text';
  import { revokeRule } from './actions';
  import { rulesQuery } from './queries';
  import { decisionWords } from './words';

  let { machine, open = $bindable() }: { machine: string; open: boolean } = $props();

  const rules = createQuery(() => ({ ...rulesQuery(machine), enabled: open }));
</script>

<DialogFrame
  bind:open
  title="Rules of this machine"
  hint="What is suggested without being asked. Nothing is written before somebody has seen it."
>
  {#if rules.error}
    <ErrorNote error={rules.error} retry={() => void rules.refetch()} />
  {:else if rules.data}
    {#each rules.data.items as rule (rule.question)}
      <div class="flex items-start gap-4 border-t border-hairline py-2">
        <p class="min-w-0 flex-1">
          {capital(`whenever ${rule.words}`)}:
          <strong>{decisionWords(rule.question, rule.decision)}</strong>
          <span class="block text-[13px] text-soft">{rule.by}, {moment(rule.at)}</span>
        </p>
        {#if who.may('EDIT')}
          <button class="button" onclick={() => void revokeRule(machine, rule.question)}>
            Ask again
          </button>
        {/if}
      </div>
    {:else}
      <p class="text-soft">
        None. Where something is asked, answer it, then choose <em>Always at this machine</em> beside
        it.
      </p>
    {/each}
  {:else}
    <Loading />
  {/if}
</DialogFrame>
