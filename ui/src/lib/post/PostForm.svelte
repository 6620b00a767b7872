<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { PostDraft, PostView } from '$lib/api/client';
  import { editionsQuery } from '$lib/edition/queries';
  import { librariesQuery } from '$lib/library/queries';
  import ChoiceField from '$lib/machine/definition/ChoiceField.svelte';
  import SizeField from '$lib/machine/definition/SizeField.svelte';
  import WordField from '$lib/machine/definition/WordField.svelte';
  import { machinesQuery } from '$lib/machine/queries';
  import { entries } from '$lib/quantity/entries';
  import Checkbox from '$lib/shell/Checkbox.svelte';
  import { offsetForms, symbols, works } from './words';

  type Post = PostView['post'];

  let {
    start,
    readonly,
    saving,
    save
  }: {
    start: PostDraft & { post: Post };
    readonly: boolean;
    /** What the button says. */
    saving: string;
    save: (draft: PostDraft) => Promise<boolean>;
  } = $props();

  const NONE = '';
  // svelte-ignore state_referenced_locally
  let draft = $state(structuredClone($state.snapshot(start)) as typeof start);
  const machines = createQuery(machinesQuery);
  const libraries = createQuery(librariesQuery);
  const editions = createQuery(() => ({
    ...editionsQuery(draft.library ?? 0),
    enabled: draft.library != null
  }));
  let typed = $state<Record<string, string>>({});
  let busy = $state(false);
  const own = $derived(draft.post.offsetForm !== 'SAME_AS_NUMBER');

  async function onsubmit(event: SubmitEvent) {
    event.preventDefault();
    if (busy || !(await entries.sound())) return;
    busy = true;
    await save($state.snapshot(draft) as PostDraft);
    busy = false;
  }
</script>

<form class="flex flex-col gap-5" {onsubmit}>
  <div class="flex flex-wrap items-end gap-3">
    <WordField label="Name of the post" width="w-56" bind:value={draft.post.name} {readonly} />
    <ChoiceField
      label="Serves"
      bind:value={() => draft.machine ?? NONE, (next) => (draft.machine = next || undefined)}
      options={[
        { value: NONE, label: 'no machine' },
        ...(machines.data?.items ?? []).map(({ id, name }) => ({ value: id, label: name }))
      ]}
      disabled={readonly}
    />
    <ChoiceField
      label="Brings the library"
      bind:value={
        () => String(draft.library ?? NONE),
        (next) => {
          draft.library = next ? Number(next) : undefined;
          draft.edition = undefined;
        }
      }
      options={[
        { value: NONE, label: 'none' },
        ...(libraries.data?.items ?? [])
          .filter(({ right }) => right)
          .map(({ id, name }) => ({ value: String(id), label: name }))
      ]}
      disabled={readonly}
    />
    {#if (editions.data?.items.length ?? 0) > 0}
      <ChoiceField
        label="As edition"
        bind:value={
          () => String(draft.edition ?? NONE),
          (next) => (draft.edition = next ? Number(next) : undefined)
        }
        options={[
          { value: NONE, label: 'as it stands' },
          ...(editions.data?.items ?? []).map(({ id, number }) => ({
            value: String(id),
            label: `edition ${number}`
          }))
        ]}
        disabled={readonly}
      />
    {/if}
  </div>
  <div class="flex flex-wrap items-end gap-3">
    <SizeField
      label="Tool numbers from"
      unit="1"
      signed
      bind:value={draft.post.numbers.from}
      {readonly}
    />
    <SizeField label="to" unit="1" bind:value={draft.post.numbers.to} {readonly} />
    <ChoiceField
      label="Offset numbers are"
      bind:value={
        () => draft.post.offsetForm,
        (next) => {
          draft.post.offsetForm = next;
          draft.post.offsets =
            next === 'SAME_AS_NUMBER' ? undefined : (draft.post.offsets ?? { from: 1, to: 99 });
        }
      }
      options={offsetForms}
      disabled={readonly}
    />
    {#if own && draft.post.offsets}
      <SizeField
        label="Offsets from"
        unit="1"
        signed
        bind:value={draft.post.offsets.from}
        {readonly}
      />
      <SizeField label="to " unit="1" bind:value={draft.post.offsets.to} {readonly} />
    {/if}
    <SizeField
      label="Longest comment"
      unit="1"
      signed
      bind:value={draft.post.commentLength}
      {readonly}
    />
    <WordField
      label="Characters of comments"
      width="w-40"
      bind:value={draft.post.commentCharacters}
      {readonly}
    />
  </div>
  <Checkbox label="Turning tools need a tip orientation" bind:checked={draft.post.orientation} />
  <section aria-label="Values that must be stated">
    <h2>Values that must be stated</h2>
    <div class="mt-1 flex flex-wrap gap-3">
      {#each works as { value, label } (value)}
        <WordField
          label="Of {label}"
          width="w-44"
          bind:value={
            () => typed[value] ?? (draft.post.needed?.[value] ?? []).join(', '),
            (next) => {
              typed[value] = next ?? '';
              draft.post.needed = { ...draft.post.needed, [value]: symbols(next ?? '') };
            }
          }
          {readonly}
        />
      {/each}
    </div>
  </section>
  {#if !readonly}
    <div><button class="button main" disabled={busy}>{saving}</button></div>
  {/if}
</form>
