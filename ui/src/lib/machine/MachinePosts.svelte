<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { postsQuery } from '$lib/post/queries';

  let { machine }: { machine: string } = $props();

  const posts = createQuery(() => postsQuery(machine));
</script>

{#each posts.data?.items ?? [] as post (post.id)}
  <a
    class="text-soft hover:text-working"
    href="/posts/{post.id}"
    title={post.libraryName ? `brings ${post.libraryName}` : undefined}>{post.post.name}</a
  >
{/each}
