<script lang="ts">
  let { uses }: { uses: { kind: string; id: string; name: string }[] } = $props();

  const places: Record<string, (id: string) => string> = {
    library: (id) => `/libraries/${id}`,
    machine: (id) => `/machines/${id}`,
    stack: (id) => `/tools/${id}/stack`
  };
</script>

<span class="text-soft">
  {#if uses.length === 0}
    used nowhere
  {:else}
    in
    {#each uses as use, at (use.kind + use.id + use.name)}<a
        class="text-ink hover:text-working"
        href={places[use.kind](use.id)}>{use.name}</a
      >{at < uses.length - 1 ? ', ' : ''}{/each}
  {/if}
</span>
