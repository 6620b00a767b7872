<script lang="ts">
  import { readAgain } from '$lib/delivery/actions';
  import { type DeliveryFile } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';

  let {
    delivery,
    file,
    named = false
  }: {
    delivery: number;
    file: DeliveryFile;
    /** True where the delivery has several files. */
    named?: boolean;
  } = $props();

  const reading = $derived(file.reading);
  const delimiters: Record<string, string> = {
    ',': 'comma',
    ';': 'semicolon',
    '\t': 'tab',
    '|': 'bar'
  };
  const unread = $derived(
    (reading?.columns ?? [])
      .map((column, position) => ({ ...column, position }))
      .filter((column) => !column.symbol)
  );
  let symbols = $state<Record<number, string>>({});

  interface Change {
    encoding?: string;
    delimiter?: string;
    decimal?: string;
    columns?: Record<string, { symbol: string; unit?: string }>;
  }

  /** Columns decided before; the decision on another one does not undo them. */
  function columns(): NonNullable<Change['columns']> {
    return Object.fromEntries(
      (reading?.columns ?? []).flatMap(({ symbol, unit, evidence }, position) =>
        evidence === 'chosen by hand' ? [[position, { symbol, unit: unit ?? undefined }]] : []
      )
    );
  }

  async function decide(change: Change) {
    const keep = {
      encoding: reading?.encodingEvidence === 'chosen by hand' ? reading.encoding : undefined,
      delimiter: reading?.delimiterEvidence === 'chosen by hand' ? reading.delimiter : undefined,
      decimal: reading?.decimalEvidence === 'chosen by hand' ? reading.decimal : undefined
    };
    await readAgain(delivery, file.file, {
      ...keep,
      ...change,
      columns: { ...columns(), ...change.columns }
    });
  }
</script>

{#if reading}
  <details class="band group">
    <summary class="flex h-9 cursor-pointer items-center gap-3 px-5">
      <span class="font-semibold">How {named ? file.name : 'it'} was read</span>
      <span class="text-soft">
        {reading.encoding}, {delimiters[reading.delimiter] ?? reading.delimiter} between cells, {reading.decimal ===
        ','
          ? 'decimal comma'
          : 'decimal point'}, {reading.columns.length - unread.length} of {reading.columns.length} columns
      </span>
      {#if unread.length > 0}
        <span class="text-query">{unread.length} not read</span>
      {/if}
    </summary>
    <div class="grid grid-cols-[150px_190px_1fr] items-center gap-x-4 gap-y-2 px-5 pb-4 pt-1">
      <span class="text-soft">Encoding</span>
      <Choice
        label="Encoding"
        bind:value={() => reading.encoding, (encoding) => void decide({ encoding })}
        options={[
          ...new Set([reading.encoding, 'UTF-8', 'windows-1252', 'UTF-16LE', 'UTF-16BE'])
        ].map((value) => ({ value, label: value }))}
      />
      <span>{reading.encodingEvidence}</span>
      <span class="text-soft">Between cells</span>
      <Choice
        label="Between cells"
        bind:value={() => reading.delimiter, (delimiter) => void decide({ delimiter })}
        options={Object.entries(delimiters).map(([value, label]) => ({ value, label }))}
      />
      <span>{reading.delimiterEvidence}</span>
      <span class="text-soft">Decimal sign</span>
      <Choice
        label="Decimal sign"
        bind:value={() => reading.decimal, (decimal) => void decide({ decimal })}
        options={[
          { value: '.', label: 'point' },
          { value: ',', label: 'comma' }
        ]}
      />
      <span>{reading.decimalEvidence}</span>
      {#each unread as { header, evidence, position } (position)}
        <span class="code truncate text-query">{header || `column ${position + 1}`}</span>
        <form
          class="flex gap-1"
          onsubmit={(event) => {
            event.preventDefault();
            void decide({ columns: { [position]: { symbol: symbols[position] ?? '' } } });
          }}
        >
          <input
            class="field w-28"
            placeholder="symbol"
            aria-label="Symbol for column {header || position + 1}"
            bind:value={symbols[position]}
          />
          <button class="button">Read again</button>
        </form>
        <span>{evidence}</span>
      {/each}
    </div>
  </details>
{/if}
