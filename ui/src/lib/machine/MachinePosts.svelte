<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import { choosePost } from '$lib/post/actions';
  import { machinePostsQuery } from '$lib/post/queries';
  import Choice from '$lib/shell/Choice.svelte';

  let { machine, may }: { machine: string; may: boolean } = $props();

  const NONE = '';
  const posts = createQuery(() => machinePostsQuery(machine));
  const offered = $derived(posts.data?.offered ?? []);
  const chosen = $derived(offered.find(({ id }) => id === posts.data?.post));
</script>

{#if offered.length > 1 && may}
  <Choice
    label="Post"
    bind:value={
      () => String(chosen?.id ?? NONE),
      (next) => void choosePost(machine, next === NONE ? null : Number(next))
    }
    options={[
      { value: NONE, label: 'no post chosen' },
      ...offered.map(({ id, post }) => ({ value: String(id), label: post.name }))
    ]}
  />
{/if}
{#if chosen}
  <a
    class="text-soft hover:text-working"
    href="/posts/{chosen.id}"
    title={chosen.libraryName ? `brings ${chosen.libraryName}` : undefined}
    >{offered.length > 1 && may ? 'its defaults' : chosen.post.name}</a
  >
{/if}
{#if posts.data && offered.length === 0 && may}
  <a class="text-working hover:underline" href="/posts/new?machine={machine}"
    >Set up a post for it</a
  >
{/if}
