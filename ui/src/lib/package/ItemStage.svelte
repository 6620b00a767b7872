<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query';
  import { setOverhang } from './actions';
  import { address, modelOf, pictureOf } from './files';
  import { lineStackQuery } from './queries';
  import type { DeliveryFile, Line, PlannedShape } from '$lib/api/client';
  import Strip from '$lib/drawing/Strip.svelte';
  import NumberField from '$lib/quantity/NumberField.svelte';
  import { units } from '$lib/quantity/units.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { capital } from '$lib/shell/text';
  import SolidStage from '$lib/solid/SolidStage.svelte';
  import StackDrawing from '$lib/stack/StackDrawing.svelte';
  import Mark from '$lib/marks/Mark.svelte';

  let {
    delivery,
    line,
    files,
    editable
  }: { delivery: number; line: Line; files: DeliveryFile[]; editable: boolean } = $props();

  const model = $derived(modelOf(line, files));
  const picture = $derived(pictureOf(line, files));
  let wanted = $state<'stack' | 'drawing' | 'model' | 'picture'>('stack');
  const views = $derived([
    ...(line.stacks.length > 0
      ? [{ value: 'stack' as const, label: 'Stack' }]
      : line.outline
        ? [{ value: 'drawing' as const, label: 'Drawing' }]
        : []),
    ...(model ? [{ value: 'model' as const, label: 'Model' }] : []),
    ...(picture ? [{ value: 'picture' as const, label: 'Picture' }] : [])
  ]);
  const shown = $derived(
    views.some((view) => view.value === wanted) ? wanted : (views[0]?.value ?? 'nothing')
  );

  const client = useQueryClient();
  let index = $state(0);
  /** In mm while it is dragged or typed and not said yet. */
  let tried = $state<number | undefined>();
  /** News of the same line do not take away what somebody tries. */
  const lineId = $derived(line.id);
  $effect(() => {
    void lineId;
    index = 0;
    tried = undefined;
  });
  const stack = createQuery(() => ({
    ...lineStackQuery(delivery, line.id, Math.min(index, line.stacks.length - 1), tried),
    enabled: line.stacks.length > 0
  }));
  /** Stays while what is tried is refused. */
  let stood = $state.raw<{ of: string; planned: PlannedShape } | null>(null);
  const standsFor = $derived(`${line.id} ${index}`);
  $effect(() => {
    if (stack.data && !stack.isPlaceholderData) stood = { of: standsFor, planned: stack.data };
  });
  const planned = $derived(stack.data ?? (stood?.of === standsFor ? stood.planned : undefined));
  const shape = $derived(planned?.shape);
  const against = $derived(
    (planned?.findings ?? []).filter((finding) => finding.severity !== 'NOTE')
  );

  function length(mm: number): string {
    return `${units.entry(Math.round(mm * 100) / 100, 'mm')} ${units.label('mm')}`;
  }

  async function say() {
    if (tried === undefined) return;
    const said = tried;
    if (!(await setOverhang(delivery, line.id, index, said))) return;
    await client.prefetchQuery({ ...lineStackQuery(delivery, line.id, index), staleTime: 0 });
    if (tried === said) tried = undefined;
  }
</script>

{#snippet standsAgainst()}
  {#if against.length > 0}
    <ul class="flex flex-col gap-1 px-5 pb-3 text-[13px]" aria-label="What stands against it">
      {#each against as finding, at (at)}
        <li class="flex gap-2">
          <Mark kind={finding.severity.toLowerCase() as 'hold'} word="" />
          {capital(finding.message)}
        </li>
      {/each}
    </ul>
  {/if}
{/snippet}

<section
  class="flex min-h-0 min-w-0 flex-1 flex-col overflow-y-auto bg-sheet max-lg:min-h-[300px] max-lg:flex-none"
  aria-label="Drawing of {line.code}"
>
  {#if views.length > 1}
    <div class="flex flex-wrap gap-2 px-5 pt-2" role="group" aria-label="What is shown">
      {#each views as view (view.value)}
        <button
          class={['button', shown === view.value && 'border-working!']}
          aria-pressed={shown === view.value}
          onclick={() => (wanted = view.value)}>{view.label}</button
        >
      {/each}
      {#if shown === 'stack' && line.stacks.length > 1}
        {#each line.stacks as one, at (at)}
          <button
            class={['button quiet', at === index && 'bg-faint!']}
            aria-pressed={at === index}
            onclick={() => ((index = at), (tried = undefined))}
            >{one.cells.NAME?.text ?? `stack ${at + 1}`}</button
          >
        {/each}
      {/if}
    </div>
  {/if}
  {#if shown === 'stack'}
    {#if shape}
      <div class="my-auto flex flex-col gap-3">
        <StackDrawing
          {shape}
          onoverhang={editable ? (overhang) => (tried = Math.max(0.5, overhang)) : undefined}
        />
        <div class="flex min-h-8 flex-wrap items-center gap-x-6 gap-y-1 px-5">
          <label class="flex items-center gap-2">
            <span class="text-soft">Overhang</span>
            <NumberField
              label="Overhang"
              unit="mm"
              value={tried ?? shape.overhang}
              readonly={!editable}
              onvalue={(value) => (tried = value ?? undefined)}
            />
          </label>
          {#if stack.error}
            <p role="alert" class="text-hold">{capital(stack.error.message)}</p>
          {/if}
          <p class="text-soft">
            reach <span class="text-ink">{length(shape.reach)}</span> · gauge length
            <span class="text-ink">{length(shape.length)}</span> · held by
            <span class="text-ink"
              >{length(Math.max(0, planned!.cutterLength - shape.overhang))}</span
            >, at least {length(planned!.clamping)} · stands out {length(planned!.longest)} at most
          </p>
          {#if tried !== undefined}
            {#if !stack.error}
              <button class="button main ml-auto" onclick={() => void say()}
                >Let it stand out {length(tried)}</button
              >
            {/if}
            <button class="button" onclick={() => (tried = undefined)}>As it was</button>
          {/if}
        </div>
        {@render standsAgainst()}
      </div>
    {:else if planned}
      <p class="px-5 py-6 text-soft">
        {planned.missing.length > 0
          ? `The stack cannot be drawn: ${planned.missing.join(', ')} is neither in this delivery nor in the shop.`
          : 'The stack cannot be drawn.'}
      </p>
    {:else if stack.isPending}
      <p class="px-5 py-6 text-soft" role="status">Putting the stack together …</p>
    {/if}
    {#if !shape}
      {@render standsAgainst()}
      <NotLoaded query={stack} />
    {/if}
  {:else if shown === 'model' && model}
    {#key model.file}
      <SolidStage {delivery} code={line.code} file={model.file} name={model.name} />
    {/key}
  {:else if shown === 'picture' && picture}
    <div class="m-5 flex min-h-0 flex-1 items-center justify-center bg-white">
      <img
        src={address(delivery, picture)}
        alt="Picture of {line.code}"
        class="h-full w-full max-w-[720px] object-contain"
      />
    </div>
  {:else if shown === 'drawing' && line.outline}
    <div class="my-auto">
      <Strip tools={[{ key: line.id, code: line.code, outline: line.outline }]} />
    </div>
  {:else}
    <p class="px-5 py-6 text-soft">Too little is known of it to draw it.</p>
  {/if}
</section>
