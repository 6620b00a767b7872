<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { MachineView } from '$lib/api/client';
  import EditionChoice from '$lib/edition/EditionChoice.svelte';
  import { librariesQuery } from '$lib/library/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import DialogFrame from '$lib/shell/DialogFrame.svelte';
  import { chooseLibrary } from './actions';

  let { view, may }: { view: MachineView; may: boolean } = $props();

  const NONE = '';
  const chosen = $derived(view.library);
  const behind = $derived(
    chosen?.edition != null && chosen.newest != null && chosen.newest > chosen.edition
  );
  let open = $state(false);
  let library = $state(NONE);
  let edition = $state(NONE);
  const libraries = createQuery(librariesQuery);

  function begin() {
    library = chosen && !chosen.post ? String(chosen.libraryId) : NONE;
    edition = NONE;
    open = true;
  }

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    const done = await chooseLibrary(
      view.machine.id,
      library === NONE ? null : Number(library),
      edition === NONE ? null : Number(edition)
    );
    if (done) open = false;
  }
</script>

<span class="flex items-center gap-2">
  {#if chosen}
    <a
      class="text-soft hover:text-working"
      href="/libraries/{chosen.libraryId}"
      title={chosen.post ? `brought by post ${chosen.post}` : undefined}
      >{chosen.name}{chosen.edition == null ? '' : `, edition ${chosen.edition}`}</a
    >
    {#if behind}<span class="text-query">{chosen.newest} is there</span>{/if}
  {/if}
  {#if may}
    <button class="button quiet" onclick={begin}>{chosen ? 'Change' : 'Choose its library'}</button>
  {/if}
</span>

{#if open}
  <DialogFrame
    open
    title="Library of {view.machine.name}"
    hint="Tools for the machine are picked from it first."
    onclose={() => (open = false)}
  >
    <form class="flex flex-wrap items-center gap-2" {onsubmit}>
      <Choice
        label="Library of the machine"
        bind:value={
          () => library,
          (next) => {
            library = next;
            edition = NONE;
          }
        }
        options={[
          { value: NONE, label: chosen?.post ? `that of post ${chosen.post}` : 'none' },
          ...(libraries.data?.items ?? [])
            .filter(({ right }) => right)
            .map(({ id, name }) => ({ value: String(id), label: name }))
        ]}
      />
      <EditionChoice {library} label="Edition at the machine" bind:edition />
      <button class="button main ml-auto">Choose</button>
    </form>
  </DialogFrame>
{/if}
