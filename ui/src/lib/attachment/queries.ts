import { queryOptions } from '@tanstack/svelte-query';
import { api, ask } from '$lib/api/client';

/** What a file belongs to. */
export interface Owner {
  kind: 'tools' | 'components';
  id: number;
}

const topics = { tools: 'tool', components: 'component' };

/** The live topic of an owner. */
export const topic = ({ kind, id }: Owner) => [topics[kind], String(id)];

/** Files that belong to a tool or a part. */
export const attachmentsQuery = (owner: Owner) =>
  queryOptions({
    queryKey: [...topic(owner), 'attachments'],
    queryFn: () =>
      ask(
        api.GET('/api/v1/{owner}/{ownerId}/attachments', {
          params: { path: { owner: owner.kind, ownerId: owner.id } }
        })
      )
  });
