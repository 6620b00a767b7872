<script lang="ts">
  import type { Piece } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';

  let {
    title,
    none,
    pieces,
    scale
  }: {
    title: string;
    /** What is said where nothing waits. */
    none: string;
    pieces: Piece[];
    /** Of all stations, px per mm. */
    scale: number;
  } = $props();

  /** What is worth knowing of a piece at a glance. */
  const about = (piece: Piece) =>
    piece.stage === 'IN_MACHINE' || piece.stage === 'TO_FETCH'
      ? piece.where
      : (piece.plannedFor ?? piece.forMachineName ?? piece.where);
</script>

<section aria-label={title} class="min-w-0">
  <h2 class="flex items-baseline gap-2 border-b border-hairline pb-1">
    <span class="font-semibold">{title}</span>
    <span class="text-soft">{pieces.length}</span>
  </h2>
  <ul>
    {#each pieces as piece (piece.id)}
      <li class="border-b border-hairline">
        <a class="block py-2 hover:bg-faint" href="/toolroom/{piece.id}">
          <span class="flex items-baseline gap-2">
            <span class="code min-w-0 truncate font-semibold">{piece.serial}</span>
            {#if piece.state !== 'NEW' && piece.state !== 'IN_USE'}
              <span class="ml-auto text-[12px] text-query">{piece.state.toLowerCase()}</span>
            {/if}
          </span>
          <Silhouette outline={piece.outline} width={168} height={34} {scale} />
          <span class="block truncate text-[13px] text-soft" title={about(piece)}
            >{about(piece)}</span
          >
        </a>
      </li>
    {:else}
      <li class="py-2 text-[13px] text-soft">{none}</li>
    {/each}
  </ul>
</section>
