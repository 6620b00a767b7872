<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query';
  import FilePicker from '$lib/shell/FilePicker.svelte';
  import NotLoaded from '$lib/shell/NotLoaded.svelte';
  import { bytes, moment } from '$lib/shell/text';
  import { attach, removeAttachment } from './actions';
  import { attachmentsQuery, type Owner } from './queries';

  interface Props {
    owner: Owner;
    readonly?: boolean;
  }

  let { owner, readonly = false }: Props = $props();

  const attachments = createQuery(() => attachmentsQuery(owner));
  const items = $derived(attachments.data?.items ?? []);
  const pictures = $derived(items.filter(({ picture }) => picture));
  let picker = $state<FilePicker>();
  let over = $state(false);

  const content = (id: number) => `/api/v1/${owner.kind}/${owner.id}/attachments/${id}/content`;

  /** One after the other; how much of all is sent. */
  async function send(files: File[], progress: (share: number) => void) {
    for (const [index, file] of files.entries()) {
      await attach(owner, file, (share) => progress((index + share) / files.length));
    }
  }

  function drop(event: DragEvent) {
    event.preventDefault();
    over = false;
    if (!readonly) void picker?.take(event.dataTransfer?.files);
  }
</script>

{#if items.length > 0 || !readonly || attachments.error}
  <section
    aria-label="Attachments"
    class={[over && 'bg-faint']}
    ondragover={(event) => {
      event.preventDefault();
      over = !readonly;
    }}
    ondragleave={() => (over = false)}
    ondrop={drop}
  >
    <div class="flex items-baseline gap-3 px-5 pb-1 pt-3">
      <h2>Attachments</h2>
      {#if !readonly}
        <FilePicker bind:this={picker} label="Attach a file" purpose="Files to attach" {send}>
          {#snippet hint()}
            {#if items.length === 0 && !attachments.error}
              <span class="text-soft">or drop a picture, a model or a data sheet here</span>
            {/if}
          {/snippet}
        </FilePicker>
      {/if}
    </div>
    {#if pictures.length > 0}
      <ul class="flex flex-wrap gap-3 px-5 pb-2">
        {#each pictures as picture (picture.id)}
          <li>
            <a href={content(picture.id)} target="_blank" rel="noopener">
              <img
                class="h-24 max-w-44 border border-hairline bg-sheet object-contain"
                src={content(picture.id)}
                alt={picture.name}
                loading="lazy"
              />
            </a>
          </li>
        {/each}
      </ul>
    {/if}
    {#if items.length > 0}
      <table class="rows mx-5 w-[calc(100%-2.5rem)]">
        <tbody>
          {#each items as item (item.id)}
            <tr>
              <td class="w-full max-w-0 truncate">
                <a class="hover:text-working" href={content(item.id)} download={item.name}
                  >{item.name}</a
                >
              </td>
              <td class="number whitespace-nowrap">{bytes(item.size)}</td>
              <td class="whitespace-nowrap text-[13px] text-soft">{moment(item.at)}, {item.by}</td>
              <td class="text-right">
                {#if !readonly}
                  <button
                    class="button quiet h-6!"
                    aria-label="Remove {item.name}"
                    onclick={() => void removeAttachment(owner, item)}>Remove</button
                  >
                {/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
    <NotLoaded query={attachments} />
  </section>
{/if}
