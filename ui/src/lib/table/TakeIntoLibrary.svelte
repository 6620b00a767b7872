<script lang="ts">
  import { goto } from '$app/navigation';
  import { createQuery } from '@tanstack/svelte-query';
  import { librariesQuery } from '$lib/library/queries';
  import { mayMaintain, mayPropose } from '$lib/library/rights';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import Choice from '$lib/shell/Choice.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { capital } from '$lib/shell/text';
  import { machineQuery } from '$lib/machine/queries';
  import { classesQuery } from '$lib/tool/queries';
  import { controlDraft } from './queries';

  let {
    machine,
    code,
    open = $bindable()
  }: {
    machine: string;
    /** As the control shows it. */
    code: string;
    open: boolean;
  } = $props();

  const libraries = createQuery(() => ({ ...librariesQuery(), enabled: open }));
  const view = createQuery(() => ({ ...machineQuery(machine), enabled: open }));
  const classes = createQuery(() => ({ ...classesQuery(), enabled: open }));
  const likely = createQuery(() => ({
    queryKey: ['machine', machine, 'draft', code],
    queryFn: () => controlDraft(machine, code),
    enabled: open
  }));
  const offered = $derived(
    (libraries.data?.items ?? []).filter((one) => mayMaintain(one) || mayPropose(one))
  );
  let library = $state('');
  let toolClass = $state('');
  /** The library of the machine, where he may put tools into it. */
  const usual = $derived(
    offered.find(({ id }) => id === view.data?.library?.libraryId) ?? offered[0]
  );
  const chosenLibrary = $derived(library || String(usual?.id ?? ''));
  const chosenClass = $derived(toolClass || likely.data?.classId || '');
  const error = $derived(libraries.error ?? classes.error ?? likely.error);

  async function begin() {
    const from = new URLSearchParams({ control: machine, code, class: chosenClass });
    open = false;
    await goto(`/libraries/${chosenLibrary}/new?${from}`);
  }
</script>

<DialogFrame
  bind:open
  title="Put {code} into a library"
  hint="It begins as a draft with what the control knows of it; nothing is kept before you create it."
>
  {#if error}
    <ErrorNote {error} retry={() => void likely.refetch()} />
  {:else if libraries.data && classes.data && likely.data}
    {#if offered.length === 0}
      <p>There is no library into which you may put tools, or for which you may propose some.</p>
    {:else}
      <div class="grid grid-cols-[auto_1fr] items-center gap-x-4 gap-y-3">
        <span class="text-soft">Library</span>
        <Choice
          label="Library"
          bind:value={() => chosenLibrary, (next) => (library = next)}
          options={offered.map((one) => ({ value: String(one.id), label: one.name }))}
        />
        <span class="text-soft">Class</span>
        <Choice
          label="Class"
          bind:value={() => chosenClass, (next) => (toolClass = next)}
          options={classes.data.items.map((one) => ({ value: one.id, label: capital(one.title) }))}
        />
      </div>
      <div class="mt-5 flex justify-end gap-2">
        <button class="button" onclick={() => (open = false)}>Cancel</button>
        <button class="button main" onclick={begin}>Go on</button>
      </div>
    {/if}
  {:else}
    <Loading />
  {/if}
</DialogFrame>
