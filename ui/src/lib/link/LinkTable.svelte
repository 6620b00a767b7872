<script lang="ts">
  import type { Link, LinkKind } from '$lib/api/client';
  import Mark from '$lib/marks/Mark.svelte';
  import { capital, count } from '$lib/shell/text';
  import { setAnew } from './actions';
  import AimChoice from './AimChoice.svelte';
  import { commonAims, linkKey, suggested } from './aims';

  let {
    title,
    links,
    may
  }: {
    title: string;
    links: Link[];
    /** Whether they may be set anew. */
    may: boolean;
  } = $props();

  let ticked = $state<string[]>([]);
  let busy = $state(false);
  const chosen = $derived(links.filter((link) => ticked.includes(linkKey(link))));
  const open = $derived(links.filter(({ aims }) => aims.length > 0));
  const offers = $derived(suggested(links));

  async function set(some: Link[], kind: LinkKind, id: string) {
    busy = true;
    if (await setAnew(some, kind, id)) ticked = [];
    busy = false;
  }
</script>

<section class="mt-3" aria-label={title}>
  <header class="flex min-h-9 flex-wrap items-center gap-3">
    <h2>{title}</h2>
    {#if may && chosen.length > 0}
      <span class="text-soft">{count(chosen.length, 'link')} to</span>
      <AimChoice
        aims={commonAims(chosen)}
        {busy}
        onset={(kind, id) => void set(chosen, kind, id)}
      />
    {:else if may}
      {#each offers as offer (offer.end.kind + offer.end.id)}
        <button
          class="button"
          disabled={busy}
          onclick={() => void set(offer.links, offer.end.kind, offer.end.id)}
          >Take {offer.end.name}{offer.links.length > 1
            ? ` for all ${offer.links.length}`
            : ''}</button
        >
      {/each}
    {/if}
  </header>
  <table class="rows text-[13px]">
    <tbody>
      {#each links as link (linkKey(link))}
        <tr>
          {#if may && open.length > 0}
            <td class="w-8">
              {#if link.aims.length > 0}
                <input
                  type="checkbox"
                  aria-label="{link.from.name} {link.relation} {link.to.name}"
                  checked={ticked.includes(linkKey(link))}
                  onchange={() =>
                    (ticked = ticked.includes(linkKey(link))
                      ? ticked.filter((key) => key !== linkKey(link))
                      : [...ticked, linkKey(link)])}
                />
              {/if}
            </td>
          {/if}
          <td>
            {#if link.from.href}
              <a class="text-working hover:underline" href={link.from.href}>{link.from.name}</a>
            {:else}
              {link.from.name}
            {/if}
          </td>
          <td class="text-soft">{link.relation}</td>
          <td>
            {#if link.to.href}
              <a class="text-working hover:underline" href={link.to.href}>{link.to.name}</a>
            {:else}
              {link.to.name}
            {/if}
          </td>
          <td>
            {#if link.stray}<Mark kind="query" word={capital(link.stray)} />{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>
