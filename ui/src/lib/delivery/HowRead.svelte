<script lang="ts">
  import { readAgain } from '$lib/delivery/actions';
  import { type ColumnDecision, type DeliveryFile } from '$lib/api/client';
  import Choice from '$lib/shell/Choice.svelte';
  import { capital } from '$lib/shell/text';

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
    '|': 'bar',
    ' ': 'blanks'
  };
  const unread = $derived(
    (reading?.columns ?? [])
      .map((column, position) => ({ ...column, position }))
      .filter((column) => kept(column.symbol))
  );
  /** True for a column that is no property, but kept with the tool. */
  function kept(symbol: string): boolean {
    return symbol === '' || symbol === 'NOTE' || symbol.startsWith('NOTE:');
  }

  function choose(position: number, symbol: string) {
    void decide({ columns: { [position]: { symbol: symbol.trim() } } });
  }

  interface Change {
    encoding?: string;
    delimiter?: string;
    decimal?: string;
    unit?: string;
    columns?: Record<string, ColumnDecision>;
  }

  /** Columns decided before; the decision on another one does not undo them. */
  function columns(): NonNullable<Change['columns']> {
    return Object.fromEntries(
      (reading?.columns ?? []).flatMap(({ evidence, decision }, position) =>
        evidence === 'chosen by hand' && decision ? [[position, decision]] : []
      )
    );
  }

  async function decide(change: Change) {
    const keep = {
      encoding: reading?.encodingEvidence === 'chosen by hand' ? reading.encoding : undefined,
      delimiter: reading?.delimiterEvidence === 'chosen by hand' ? reading.delimiter : undefined,
      decimal: reading?.decimalEvidence === 'chosen by hand' ? reading.decimal : undefined,
      unit: reading?.unitEvidence === 'chosen by hand' ? reading.unit : undefined
    };
    await readAgain(delivery, file.file, {
      ...keep,
      constants: reading?.constants,
      recipe: reading?.recipe?.name,
      ...change,
      columns: { ...columns(), ...change.columns }
    });
  }
</script>

{#if reading}
  <div class="band relative">
    {#if reading.columns.length > 0}
      <a
        class={['button absolute right-5 top-1 h-7!', unread.length === 0 && 'quiet']}
        href="/receiving/{delivery}/reading?file={file.file}">Decide about columns</a
      >
    {/if}
    <details class="group">
      <summary class="flex h-9 cursor-pointer items-center gap-3 pl-5 pr-52">
        <span class="font-semibold">How {named ? file.name : 'it'} was read</span>
        <span class="text-soft">
          {reading.encoding}, {delimiters[reading.delimiter] ?? reading.delimiter} between cells, {reading.decimal ===
          ','
            ? 'decimal comma'
            : 'decimal point'},{#if reading.unit}{' lengths in ' +
              (reading.unit === 'in' ? 'inch' : 'mm')},{/if}
          {reading.columns.length - unread.length} of {reading.columns.length} columns
        </span>
        {#if unread.length > 0}
          <span class="text-soft"
            >{unread.length} kept as {unread.length === 1 ? 'a note' : 'notes'}</span
          >
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
        {#if reading.unit}
          <span class="text-soft">Lengths without a unit</span>
          <Choice
            label="Lengths without a unit"
            bind:value={() => reading.unit ?? 'mm', (unit) => void decide({ unit })}
            options={[
              { value: 'mm', label: 'mm' },
              { value: 'in', label: 'inch' }
            ]}
          />
          <span>{reading.unitEvidence}</span>
        {/if}
      </div>
      {#if reading.recipe}
        <p class="px-5 pb-3 text-soft">
          Read by recipe {reading.recipe.name}, version {reading.recipe.number}{reading.recipe
            .missing.length > 0
            ? `; it decides about ${reading.recipe.missing.join(', ')}, which this table does not have`
            : ''}
        </p>
      {/if}
      {#if reading.columns.length > 0}
        <table class="rows mb-4 ml-5 w-[calc(100%-40px)]">
          <thead>
            <tr>
              <th>Column</th>
              <th>Read as</th>
              <th>Unit</th>
              <th>Why</th>
            </tr>
          </thead>
          <tbody>
            {#each reading.columns as { header, symbol, unit, evidence }, position (position)}
              <tr>
                <td class={['code max-w-52 truncate', kept(symbol) && 'text-soft']}>
                  {header || `column ${position + 1}`}
                </td>
                <td>
                  <input
                    class="field h-7! w-36"
                    aria-label="What column {header || position + 1} is read as"
                    value={kept(symbol) ? '' : symbol}
                    placeholder={kept(symbol) ? 'a note' : ''}
                    onchange={(event) => choose(position, event.currentTarget.value)}
                  />
                </td>
                <td class="text-soft">{unit ?? ''}</td>
                <td class="text-[13px] text-soft">{capital(evidence)}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    </details>
  </div>
{/if}
