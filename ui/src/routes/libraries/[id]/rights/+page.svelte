<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { allOthers, roleWord } from '$lib/account/words';
  import { rightsQuery } from '$lib/library/queries';
  import { rights, said, sharings } from '$lib/library/rights';
  import RightsForm from '$lib/library/RightsForm.svelte';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { Ground } from '$lib/shell/ground.svelte';
  import GroundMoved from '$lib/shell/GroundMoved.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';

  const id = $derived(Number(page.params.id));
  const view = createQuery(() => rightsQuery(id));
  const ground = new Ground(
    () => view.data,
    ({ library }) => String(library),
    ({ stamp }) => stamp
  );
  const word = (right: string | null | undefined) =>
    rights.find(({ value }) => value === right)?.label ?? 'not see it';
</script>

<svelte:head><title>Sharing · {view.data?.name ?? 'Library'} · Arbor Line</title></svelte:head>

{#if view.error}
  <ErrorNote error={view.error} retry={() => void view.refetch()} />
{:else if view.data}
  {@const shown = view.data}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-3">
    <p><a class="text-soft hover:text-working" href="/libraries/{id}">{shown.name}</a></p>
    <h1>Sharing</h1>
    <p class="mt-2 max-w-3xl">{said(shown)}</p>
    <div class="mt-5 max-w-3xl">
      {#if shown.administers && who.may('EDIT') && ground.began}
        {#if ground.moved}<GroundMoved what="who may do what" again={ground.again} />{/if}
        {#key ground.began}
          <RightsForm view={ground.began} onsaved={() => void goto(`/libraries/${id}`)} />
        {/key}
      {:else}
        <p class="text-soft">
          Shared {sharings.find(({ value }) => value === shown.sharing)?.label}.
        </p>
        <table class="rows mt-3 w-full">
          <thead><tr><th>Who</th><th>Role</th><th>May</th></tr></thead>
          <tbody>
            {#each shown.people as one (one.account)}
              <tr>
                <td class="font-semibold">{one.name}</td>
                <td>{roleWord(one.role)}</td>
                <td>{word(one.right)}</td>
              </tr>
            {/each}
            {#each shown.roles as one (one.role)}
              <tr>
                <td class="text-soft">{allOthers[one.role]}</td>
                <td>{roleWord(one.role)}</td>
                <td>{word(one.right)}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    </div>
  </div>
{:else}
  <Loading />
{/if}
