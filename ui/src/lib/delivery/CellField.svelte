<script lang="ts">
  import { correctLines } from '$lib/delivery/actions';
  import { type Line } from '$lib/api/client';
  import { units } from '$lib/quantity/units.svelte';

  let {
    delivery,
    line,
    symbol,
    label = `${symbol} of line ${line.line}`,
    compact = false
  }: {
    delivery: number;
    line: Line;
    symbol: string;
    label?: string;
    /** For a place on a drawing, where the unit of the view goes without saying. */
    compact?: boolean;
  } = $props();

  const cell = $derived(line.cells[symbol]);
  const stored = $derived(cell?.implied ? '' : (cell?.text ?? ''));
  const written = $derived(cell && !cell.implied);
  const unit = $derived((written ? cell?.unit : null) ?? line.unitsOfAdded[symbol] ?? '');
  /** A cell is read in the unit of its line, whatever is looked at: on a drawing this is said where the two differ. */
  const told = $derived(!compact || !units.viewed(unit));
  let typed = $state<string | null>(null);
  const severities = $derived(
    line.findings.filter((found) => found.properties[0] === symbol).map((found) => found.severity)
  );

  async function correct() {
    const sent = typed;
    if (sent === null || sent === stored) {
      typed = null;
      return;
    }
    const done = await correctLines(delivery, [{ line: line.id, cells: { [symbol]: sent } }]);
    // What was refused stays to be seen, and what somebody typed since then.
    if (done && typed === sent) typed = null;
  }
</script>

<span class="flex items-center gap-1">
  <input
    class={[
      'field h-6!',
      compact ? 'w-[62px] text-right' : symbol === 'CODE' ? 'code w-40' : 'w-24',
      severities.includes('QUERY') && 'border-query'
    ]}
    aria-label={label}
    aria-invalid={severities.includes('HOLD')}
    value={typed ?? stored}
    placeholder={cell?.implied ? cell.text : undefined}
    title={cell?.implied}
    oninput={(e) => (typed = e.currentTarget.value)}
    onblur={correct}
    onkeydown={(e) => {
      if (e.key === 'Enter') e.currentTarget.blur();
      if (e.key === 'Escape') typed = null;
    }}
  />
  {#if told}<span class="text-[12px] text-soft">{units.name(unit)}</span>{/if}
</span>
