<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { PostDraft } from '$lib/api/client';
  import { makePost } from '$lib/post/actions';
  import PostForm from '$lib/post/PostForm.svelte';
  import { who } from '$lib/shell/session.svelte';

  async function save(draft: PostDraft) {
    const made = await makePost(draft);
    if (made) void goto(`/posts/${made.id}`);
    return Boolean(made);
  }
</script>

<svelte:head><title>New post · Arbor Line</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-5 pb-8 pt-4">
  <h1 class="pb-3">New post</h1>
  {#if who.may('EDIT')}
    <PostForm
      start={{
        post: {
          name: '',
          numbers: { from: 1, to: 99 },
          offsetForm: 'SAME_AS_NUMBER',
          commentLength: 24,
          commentCharacters: 'A-Z0-9 .+/-',
          orientation: false,
          needed: {}
        },
        machine: page.url.searchParams.get('machine') ?? undefined
      }}
      readonly={false}
      saving="Make it"
      {save}
    />
  {:else}
    <p class="text-soft">The lead and programmers make posts.</p>
  {/if}
</div>
