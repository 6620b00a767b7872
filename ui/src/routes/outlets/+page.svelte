<script lang="ts">
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import OnceShown from '$lib/account/OnceShown.svelte';
  import { librariesQuery } from '$lib/library/queries';
  import { mayMaintain } from '$lib/library/rights';
  import OutletForm from '$lib/outlet/OutletForm.svelte';
  import OutletTable from '$lib/outlet/OutletTable.svelte';
  import { outletsQuery } from '$lib/outlet/queries';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';

  const asked = page.url.searchParams.get('library') ?? '';
  const outlets = createQuery(() => outletsQuery(null));
  const libraries = createQuery(librariesQuery);
  /** Of a reference, which nobody maintains, the lead says where it is written. */
  const mine = $derived(
    (libraries.data?.items ?? []).filter(
      (one) =>
        who.may('EDIT') &&
        (mayMaintain(one) || (one.sharing === 'REFERENCE' && who.current.role === 'lead'))
    )
  );
  let library = $state(asked);
  let renewed = $state<{ name: string; address: string } | null>(null);
</script>

<svelte:head><title>Outlets · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-3">
  <p><a class="text-soft hover:text-working" href="/libraries">Libraries</a></p>
  <div class="flex flex-wrap items-baseline gap-3">
    <h1>Outlets</h1>
    <span class="text-soft">Editions written for programs that only read files</span>
  </div>
  {#if outlets.error}
    <ErrorNote error={outlets.error} retry={() => void outlets.refetch()} />
  {:else if outlets.data && libraries.data}
    {#if mine.length > 0}
      <div class="mt-3"><OutletForm libraries={mine} bind:library /></div>
    {/if}
    {#if renewed}
      <div class="mt-3">
        <OnceShown
          text={renewed.address}
          label="Address of {renewed.name}"
          hint="Programs read {renewed.name} from this address from now on. It cannot be shown again."
        />
      </div>
    {/if}
    {#if outlets.data.items.length === 0}
      <p class="mt-5 max-w-2xl text-soft">
        No outlet yet. One writes each new edition of a library into a folder, or behind an address,
        in the format and unit that a program reads; it says what the file does not carry and
        whether it was read back equal.
      </p>
    {:else}
      <div class="mt-4">
        <OutletTable
          outlets={outlets.data.items}
          onaddress={(name, address) => (renewed = { name, address })}
        />
      </div>
    {/if}
  {:else}
    <Loading />
  {/if}
</div>
