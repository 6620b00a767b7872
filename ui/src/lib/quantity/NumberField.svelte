<script lang="ts">
  import { onDestroy } from 'svelte';
  import { explainQuantity } from './read';
  import { capital } from '$lib/shell/text';
  import { entries } from './entries';
  import { units } from './units.svelte';

  let {
    label,
    value = $bindable(),
    unit = '1',
    readonly = false,
    optional = false,
    positive = false,
    id,
    class: look = 'w-24',
    onvalue
  }: {
    label: string;
    /** In the metric unit; null while an optional field is empty. */
    value: number | null;
    unit?: string;
    readonly?: boolean;
    optional?: boolean;
    /** Refuses what is not above zero. */
    positive?: boolean;
    id?: string;
    class?: string;
    /** Also gives the exact decimal text of the value. */
    onvalue?: (value: number | null, exact: string) => void;
  } = $props();

  /** A text and the unit in which it was meant when it was typed; a later switch does not change it. */
  interface Typed {
    text: string;
    unit: string;
  }

  let typed = $state<Typed | null>(null);
  /** What stood in the field when somebody went into it: it does not change under the hand. */
  let held = $state<Typed | null>(null);
  let wrong = $state('');
  let input = $state<HTMLInputElement>();
  /** Near the left edge of the window the complaint opens to the right. */
  const opensRight = $derived(Boolean(wrong) && (input?.getBoundingClientRect().right ?? 0) < 320);
  let asked = 0;
  /** True until the server has said what it understood of what was typed last. */
  let reading = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let release: () => void = () => {};
  const viewed = $derived(units.code(unit));
  const shown = $derived(
    typed?.text ??
      (held?.unit === viewed ? held.text : value === null ? '' : units.entry(value, unit))
  );
  /** Said in the field while what was typed is meant in another unit than the one looked at. */
  const meant = $derived(typed && typed.unit !== viewed ? units.name(typed.unit) : '');
  const help = $props.id();

  onDestroy(() => entries.mark(help, false));

  function judge(complaint: string) {
    wrong = complaint;
    entries.mark(help, complaint !== '');
  }

  function take(next: number | null, exact = '') {
    judge('');
    value = next;
    onvalue?.(next, exact);
    if (document.activeElement !== input || typed?.unit !== viewed) typed = null;
  }

  /** Has the server read what was typed; only what it understands becomes the value. */
  async function read({ text, unit: from }: Typed) {
    const mine = ++asked;
    if (optional && text.trim() === '') {
      reading = false;
      take(null);
      return;
    }
    const answer = await explainQuantity(text, from, unit).catch((fault: Error) => ({
      valid: false,
      why: fault.message,
      exact: undefined
    }));
    if (mine !== asked) return;
    reading = false;
    if (!answer.valid) judge(`'${text}': ${answer.why}`);
    else if (positive && !(Number(answer.exact) > 0)) judge(`'${text}' is not above 0`);
    else take(Number(answer.exact), answer.exact ?? undefined);
  }

  function stop() {
    clearTimeout(timer);
    release();
    reading = false;
    asked++;
  }

  function soon(text: string) {
    const entry = { text, unit: typed?.unit ?? viewed };
    typed = entry;
    stop();
    reading = true;
    entries.reading(
      new Promise((done) => {
        release = done;
        timer = setTimeout(() => void read(entry).finally(done), 40);
      })
    );
  }

  function leave() {
    held = null;
    if (!wrong && !reading) typed = null;
  }
</script>

<span class="relative inline-flex min-w-0">
  <input
    bind:this={input}
    {id}
    class={['field min-w-0 text-right', look]}
    aria-label={label}
    aria-invalid={wrong !== ''}
    aria-describedby={wrong ? help : undefined}
    inputmode="decimal"
    autocomplete="off"
    {readonly}
    value={shown}
    oninput={(event) => soon(event.currentTarget.value)}
    onfocus={() => (held = shown && !typed ? { text: shown, unit: viewed } : null)}
    onblur={leave}
    onkeydown={(event) => {
      if (event.key === 'Escape' && typed !== null) {
        stop();
        typed = null;
        held = null;
        judge('');
        event.stopPropagation();
      }
    }}
  />
  {#if meant}
    <span
      class="pointer-events-none absolute left-1.5 top-1/2 -translate-y-1/2 text-[12px] text-query"
    >
      {meant}
    </span>
  {/if}
  {#if wrong}
    <span
      id={help}
      role="alert"
      class={[
        'floating absolute top-full z-40 mt-1 w-max max-w-72 border-hold! px-2 py-1 text-[13px] text-hold',
        opensRight ? 'left-0' : 'right-0'
      ]}
    >
      {capital(wrong)}
    </span>
  {/if}
</span>
