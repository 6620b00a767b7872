import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type PostDraft } from '$lib/api/client';

const all = ['post', ALL];

export const makePost = (draft: PostDraft) =>
  act({
    ask: () => ask(api.POST('/api/v1/posts', { body: draft })),
    message: `Made post ${draft.post?.name ?? ''}`,
    concerns: [all]
  });

export const changePost = (id: number, version: number, draft: PostDraft) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/posts/{id}', { params: { path: { id }, query: { version } }, body: draft })
      ),
    message: 'Saved the post',
    concerns: [all, ['post', String(id)]]
  });

export const deletePost = (id: number) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/posts/{id}', { params: { path: { id } } })),
    message: 'Deleted the post',
    concerns: [all]
  });

/** Has other defaults come with a post. */
export const changeDefaults = (id: number, version: number, values: Record<string, string>) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/posts/{id}/defaults', {
          params: { path: { id } },
          body: { version, values }
        })
      ),
    message: 'Saved the defaults',
    concerns: [['post', String(id)]]
  });

/** Has a single default be otherwise at a machine; as it comes where no value is given. */
export const defaultAtMachine = (id: number, machine: string, key: string, value?: string) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/posts/{id}/defaults/machine', {
          params: { path: { id } },
          body: { machine, key, value }
        })
      ),
    message: value === undefined ? 'As the post has it' : 'Otherwise at the machine',
    concerns: [['post', String(id)]]
  });

/** Has a single default be otherwise for whoever asks; as it comes where no value is given. */
export const myDefault = (id: number, key: string, value?: string) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/posts/{id}/defaults/mine', {
          params: { path: { id } },
          body: { key, value }
        })
      ),
    message: value === undefined ? 'As it comes' : 'Otherwise for you',
    concerns: [['post', String(id)]]
  });

/** With which post a machine works; none in particular where it is null. */
export const choosePost = (machine: string, post: number | null) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/machines/{id}/post', {
          params: { path: { id: machine } },
          body: { post: post ?? undefined }
        })
      ),
    message:
      post === null ? 'Works with no post in particular' : 'Works with this post from now on',
    concerns: [all, ['machine', machine]]
  });
