<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { createQuery } from '@tanstack/svelte-query';
  import type { PostDraft } from '$lib/api/client';
  import { changePost, deletePost } from '$lib/post/actions';
  import Touched from '$lib/link/Touched.svelte';
  import Defaults from '$lib/post/Defaults.svelte';
  import PostCheck from '$lib/post/PostCheck.svelte';
  import PostForm from '$lib/post/PostForm.svelte';
  import { postQuery } from '$lib/post/queries';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import { Ground } from '$lib/shell/ground.svelte';
  import GroundMoved from '$lib/shell/GroundMoved.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';

  const id = $derived(Number(page.params.id));
  const post = createQuery(() => postQuery(id));
  const may = $derived(who.may('EDIT'));
  const ground = new Ground(
    () => post.data,
    (view) => String(view.id),
    (view) => String(view.version)
  );

  async function save(draft: PostDraft) {
    const done = await changePost(id, ground.began?.version ?? 0, draft);
    if (done) ground.saved(String(done.version));
    return Boolean(done);
  }

  async function remove() {
    if (await deletePost(id)) void goto('/posts');
  }
</script>

<svelte:head><title>{post.data?.post.name ?? 'Post'} · Arbor Line</title></svelte:head>

{#if post.error}
  <ErrorNote error={post.error} retry={() => void post.refetch()} />
{:else if post.data && ground.began}
  {@const view = post.data}
  {@const began = ground.began}
  <div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-2 pb-3">
      <h1>{view.post.name}</h1>
      {#if view.machineName}
        <a class="text-working hover:underline" href="/machines/{view.machine}"
          >{view.machineName}</a
        >
      {/if}
      {#if view.libraryName}
        <a class="text-working hover:underline" href="/libraries/{view.library}"
          >{view.libraryName}{view.editionNo == null ? '' : `, edition ${view.editionNo}`}</a
        >
      {/if}
      {#if !may}<span class="text-soft">Your role may look at it, not change it.</span>{/if}
      <span class="ml-auto flex gap-2">
        <Touched kind="POST" id={String(id)} name={view.post.name} />
        <a class="button quiet" href="/posts">All posts</a>
        <a class="button quiet" href="/api/v1/posts/{id}/file" download>As a file</a>
        {#if may}<button class="button quiet" onclick={() => void remove()}>Delete</button>{/if}
      </span>
    </header>
    {#each view.strays as stray (stray)}
      <p class="pb-2 text-query">{capital(stray)}</p>
    {/each}
    {#if ground.moved && may}<GroundMoved what="the post" again={ground.again} />{/if}
    <div class="flex flex-col gap-8">
      {#key began}
        <PostForm
          start={{
            post: began.post,
            machine: began.machine,
            library: began.library,
            edition: began.edition
          }}
          readonly={!may}
          saving="Save"
          {save}
        />
      {/key}
      <PostCheck post={id} library={view.libraryName ? view.library : undefined} />
      <Defaults post={id} machine={view.machine} />
    </div>
  </div>
{:else}
  <Loading />
{/if}
