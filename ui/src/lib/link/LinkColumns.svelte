<script lang="ts">
  import type { Link } from '$lib/api/client';
  import { capital } from '$lib/shell/text';
  import { inColumns, type Edge, type Node } from './columns';

  let {
    links,
    chosen = $bindable(null)
  }: {
    links: Link[];
    /** What is looked at, by kind and id. */
    chosen?: string | null;
  } = $props();

  const ROW = 34;
  /** Share of a column that its names take. */
  const NAME = 0.66;

  const placed = $derived(inColumns(links));
  const columns = $derived(placed.titles.length);
  let width = $state(1000);
  const wide = $derived(width / columns);
  const height = $derived(placed.rows * ROW);
  const near = $derived(
    new Set(
      placed.edges
        .filter(({ from, to }) => from.key === chosen || to.key === chosen)
        .flatMap(({ from, to }) => [from.key, to.key])
    )
  );

  const left = (node: Node) => node.column * wide;
  const right = (node: Node) => node.column * wide + wide * NAME;
  const middle = (node: Node) => node.row * ROW + ROW / 2;

  /** A line from name to name; within a column it bends out to the right. */
  function path({ from, to }: Edge): string {
    const [y1, y2] = [middle(from), middle(to)];
    if (from.column === to.column) {
      const x = right(from);
      return `M${x} ${y1}C${x + 60} ${y1} ${x + 60} ${y2} ${x} ${y2}`;
    }
    const forth = from.column < to.column;
    const x1 = forth ? right(from) : left(from);
    const x2 = forth ? left(to) : right(to);
    const bend = (x2 - x1) / 2;
    return `M${x1} ${y1}C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}`;
  }

  function loud({ from, to }: Edge): boolean {
    return chosen === null || from.key === chosen || to.key === chosen;
  }
</script>

<div class="min-w-[820px]">
  <div class="grid" style:grid-template-columns="repeat({columns}, 1fr)">
    {#each placed.titles as title (title)}<h2 class="pb-2 text-soft">{title}</h2>{/each}
  </div>
  <div class="relative" style:height="{height}px" bind:clientWidth={width}>
    <svg class="absolute inset-0 h-full w-full" aria-hidden="true">
      {#each placed.edges as edge, index (index)}
        <path class={['line', edge.link.stray && 'stray', !loud(edge) && 'quiet']} d={path(edge)} />
      {/each}
    </svg>
    {#each placed.nodes as node (node.key)}
      <div
        class={[
          'absolute flex items-center gap-2 rounded-sm border bg-sheet px-2 text-[13px]',
          node.stray ? 'border-query' : 'border-hairline',
          chosen !== null && !near.has(node.key) && node.key !== chosen && 'opacity-45'
        ]}
        style:left="{left(node)}px"
        style:top="{node.row * ROW + 3}px"
        style:width="{wide * NAME}px"
        style:height="{ROW - 6}px"
      >
        <button
          class="min-w-0 flex-1 truncate text-left"
          aria-pressed={chosen === node.key}
          title={node.stray ? `${node.end.name}: ${node.stray}` : node.end.name}
          onclick={() => (chosen = chosen === node.key ? null : node.key)}>{node.end.name}</button
        >
        {#if node.end.href}
          <a
            class="text-working hover:underline"
            href={node.end.href}
            aria-label="Open {node.end.name}">Open</a
          >
        {/if}
      </div>
    {/each}
  </div>
</div>

<ul class="sr-only" aria-label="Links">
  {#each placed.edges as { link }, index (index)}
    <li>
      {link.from.name}
      {link.relation}
      {link.to.name}{link.stray ? `: ${capital(link.stray)}` : ''}
    </li>
  {/each}
</ul>

<style>
  .line {
    fill: none;
    stroke: var(--working);
    stroke-width: 1.4;
  }
  .line.stray {
    stroke: var(--query);
    stroke-dasharray: 10 6 2 6;
  }
  .line.quiet {
    opacity: 0.15;
  }
</style>
