<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { postsQuery } from '$lib/post/queries';
  import ErrorNote from '$lib/shell/ErrorNote.svelte';
  import Loading from '$lib/shell/Loading.svelte';
  import { who } from '$lib/shell/session.svelte';
  import { capital } from '$lib/shell/text';

  const posts = createQuery(() => postsQuery());
</script>

<svelte:head><title>Posts · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <header class="flex items-center gap-4">
    <h1>Posts</h1>
    <a class="text-working hover:underline" href="/machines">Machines</a>
    {#if who.may('EDIT')}
      <a class="button ml-auto" href="/posts/new">New post</a>
    {/if}
  </header>
  <p class="text-soft">What each post-processor needs of a tool, and what it brings.</p>
  {#if posts.error}
    <ErrorNote error={posts.error} retry={() => void posts.refetch()} />
  {:else if posts.data}
    <table class="rows mt-3 w-full">
      <thead>
        <tr><th>Post</th><th>Serves</th><th>Brings</th><th>Numbers</th><th></th></tr>
      </thead>
      <tbody>
        {#each posts.data.items as post (post.id)}
          <tr class="hover:bg-faint">
            <td>
              <a class="font-semibold hover:text-working" href="/posts/{post.id}"
                >{post.post.name}</a
              >
            </td>
            <td>{post.machineName ?? ''}</td>
            <td>
              {post.libraryName ?? ''}{post.editionNo == null ? '' : `, edition ${post.editionNo}`}
            </td>
            <td>{post.post.numbers.from} to {post.post.numbers.to}</td>
            <td class="text-query">{capital(post.strays.join('; '))}</td>
          </tr>
        {:else}
          <tr><td colspan="5" class="text-soft">No post is set up yet.</td></tr>
        {/each}
      </tbody>
    </table>
  {:else}
    <Loading />
  {/if}
</div>
