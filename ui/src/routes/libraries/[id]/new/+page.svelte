<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import { api, ask } from '$lib/api/client';
  import Silhouette from '$lib/drawing/Silhouette.svelte';
  import { Draft } from '$lib/sheet/draft.svelte';
  import Drawing from '$lib/sheet/Drawing.svelte';
  import Fields from '$lib/sheet/Fields.svelte';
  import Findings from '$lib/sheet/Findings.svelte';
  import { done, failed } from '$lib/shell/say';
  import { capital } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const classes = createQuery(() => ({
    queryKey: ['classes'],
    queryFn: () => ask(api.GET('/api/v1/classes')),
    staleTime: Infinity
  }));
  const draft = new Draft();
  let saving = $state(false);

  async function choose(classId: string) {
    draft.classId = classId;
    const answer = await ask(api.POST('/api/v1/tools/check', { body: draft.body }));
    for (const field of answer.fields) {
      if (field.defaultText && !draft.values[field.symbol]) {
        draft.values[field.symbol] = { text: field.defaultText, defaulted: true };
      }
    }
    draft.answer = answer;
    draft.check();
  }

  async function create() {
    saving = true;
    try {
      const made = await ask(
        api.POST('/api/v1/libraries/{id}/tools', { params: { path: { id } }, body: draft.body })
      );
      done(`Created ${draft.code}`, made.undo, () => void goto(`/libraries/${id}`));
      await goto(`/tools/${made.toolId}`);
    } catch (error) {
      failed(error);
    } finally {
      saving = false;
    }
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key.toLowerCase() === 's' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      if (draft.classId && draft.holds.length === 0) void create();
    }
  }
</script>

<svelte:window {onkeydown} />
<svelte:head><title>New tool · Arbor Line</title></svelte:head>

{#if !draft.classId}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
    <h1>New tool</h1>
    <p class="text-soft">Which class is it? The class brings its fields and trade defaults.</p>
    <div class="mt-4 grid max-w-5xl grid-cols-2 gap-x-8 lg:grid-cols-3">
      {#each classes.data?.items ?? [] as each (each.id)}
        <button
          class="band flex h-12 items-center gap-4 px-2 text-left hover:bg-faint"
          onclick={() => choose(each.id)}
        >
          <Silhouette outline={each.outline} width={110} height={30} />
          {capital(each.title)}
        </button>
      {/each}
    </div>
  </div>
{:else}
  <header class="band flex items-center gap-4 px-5 py-3">
    <h1>New {classes.data?.items.find((each) => each.id === draft.classId)?.title ?? 'tool'}</h1>
    <label class="flex items-center gap-2">
      <span class="text-soft">Code</span>
      <!-- svelte-ignore a11y_autofocus (a new form begins here) -->
      <input
        class="field code w-44"
        autofocus
        bind:value={
          () => draft.code,
          (code) => {
            draft.code = code;
            draft.check();
          }
        }
      />
    </label>
    <label class="flex items-center gap-2">
      <span class="text-soft">Name</span>
      <input class="field w-80" bind:value={draft.name} />
    </label>
    <div class="ml-auto flex items-center gap-2">
      <a class="button" href="/libraries/{id}">Give up</a>
      <button class="button main" disabled={draft.holds.length > 0 || saving} onclick={create}>
        Create
      </button>
    </div>
  </header>
  <div class="min-h-0 flex-1 overflow-auto pb-8">
    <Drawing {draft} />
    <div class="grid grid-cols-[minmax(0,1fr)_360px] gap-6">
      <Fields {draft} />
      <Findings {draft} />
    </div>
  </div>
{/if}
