<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import type { RecipeBody } from '$lib/api/client';
  import { leaveFolder, watchFolder } from '$lib/delivery/actions';
  import { foldersQuery } from '$lib/delivery/queries';
  import { librariesQuery } from '$lib/library/queries';
  import Choice from '$lib/shell/Choice.svelte';
  import { count, moment } from '$lib/shell/text';
  import { failed } from '$lib/shell/toast';
  import { bringRecipe, deleteRecipe } from './actions';
  import { recipesQuery } from './queries';

  let { may }: { may: boolean } = $props();

  const recipes = createQuery(recipesQuery);
  const folders = createQuery(foldersQuery);
  const libraries = createQuery(librariesQuery);
  let picker = $state<HTMLInputElement>();
  let name = $state('');
  let library = $state('');
  let recipe = $state('');

  async function bring(file: File | undefined) {
    if (!file) return;
    try {
      await bringRecipe(JSON.parse(await file.text()) as RecipeBody);
    } catch {
      failed(new Error(`${file.name} is no recipe: it is not JSON.`));
    }
  }

  async function watch() {
    const done = await watchFolder(
      name.trim(),
      library ? Number(library) : undefined,
      recipe || undefined
    );
    if (done) name = '';
  }

  function libraryName(id: number | null | undefined): string {
    return libraries.data?.items.find((known) => known.id === id)?.name ?? '';
  }
</script>

<section class="mt-8" aria-label="Recipes">
  <div class="flex items-center gap-3">
    <h2>Recipes</h2>
    <span class="text-soft">how foreign tables are read, found again by their headers</span>
    {#if may}
      <button class="button ml-auto" onclick={() => picker?.click()}>Add a recipe file</button>
      <input
        bind:this={picker}
        type="file"
        accept=".json,application/json"
        class="sr-only"
        tabindex="-1"
        aria-label="Recipe file to add"
        onchange={(event) => void bring(event.currentTarget.files?.[0])}
      />
    {/if}
  </div>
  {#if recipes.data && recipes.data.items.length === 0}
    <p class="mt-1 text-soft">
      None yet. Open a delivery, decide about its columns, and save that as a recipe.
    </p>
  {:else if recipes.data}
    <table class="rows mt-2 w-full">
      <tbody>
        {#each recipes.data.items as one (one.id)}
          <tr class="hover:bg-faint">
            <td class="w-64 font-semibold">{one.name}</td>
            <td class="w-28 text-soft">version {one.number}</td>
            <td class="text-soft">
              {count(one.body.headers?.length ?? 0, 'column')}, {Object.keys(one.body.columns ?? {})
                .length} decided
            </td>
            <td class="text-soft">{moment(one.at)}, {one.by}</td>
            <td class="w-48 text-right">
              <a class="button quiet" href="/api/v1/recipes/{one.id}/file" download>Save as file</a>
              {#if may}
                <button class="button quiet" onclick={() => void deleteRecipe(one.id, one.name)}
                  >Delete</button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<section class="mt-8" aria-label="Watched folders">
  <div class="flex items-center gap-3">
    <h2>Watched folders</h2>
    <span class="text-soft">files that appear there become deliveries</span>
  </div>
  {#if folders.data && folders.data.items.length > 0}
    <table class="rows mt-2 w-full">
      <tbody>
        {#each folders.data.items as folder (folder.id)}
          <tr class="hover:bg-faint">
            <td class="w-64 font-semibold">{folder.name}</td>
            <td class="code max-w-96 truncate text-[13px]" title={folder.path}>{folder.path}</td>
            <td class="text-soft">
              {folder.library ? `for ${libraryName(folder.library)}` : ''}
              {folder.recipe ? `by recipe ${folder.recipe}` : ''}
            </td>
            <td class="w-32 text-right">
              {#if may}
                <button
                  class="button quiet"
                  onclick={() => void leaveFolder(folder.id, folder.name)}>Watch no more</button
                >
              {/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  {#if may}
    <form
      class="mt-2 flex items-center gap-2"
      onsubmit={(event) => {
        event.preventDefault();
        void watch();
      }}
    >
      <input
        class="field w-52"
        aria-label="Name of the folder"
        placeholder="name of a new folder"
        maxlength="60"
        bind:value={name}
      />
      <Choice
        label="For library"
        bind:value={library}
        options={[
          { value: '', label: 'for no library' },
          ...(libraries.data?.items ?? []).map((one) => ({
            value: String(one.id),
            label: `for ${one.name}`
          }))
        ]}
      />
      <Choice
        label="By recipe"
        bind:value={recipe}
        options={[
          { value: '', label: 'by the recipe that fits' },
          ...(recipes.data?.items ?? []).map((one) => ({
            value: one.name,
            label: `by ${one.name}`
          }))
        ]}
      />
      <button class="button" disabled={!name.trim()}>Watch it</button>
    </form>
  {/if}
</section>
