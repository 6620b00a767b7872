import { act } from '$lib/api/act';
import { api, ask, send, type Attachment } from '$lib/api/client';
import { topic, type Owner } from './queries';

export const attach = (owner: Owner, file: File, progress: (share: number) => void) =>
  act({
    ask: () => send(`/api/v1/${owner.kind}/${owner.id}/attachments`, [file], progress, 'file'),
    message: `Attached ${file.name}`,
    concerns: [topic(owner)]
  });

export const removeAttachment = (owner: Owner, attachment: Attachment) =>
  act({
    ask: () =>
      ask(
        api.DELETE('/api/v1/{owner}/{ownerId}/attachments/{id}', {
          params: { path: { owner: owner.kind, ownerId: owner.id, id: attachment.id } }
        })
      ),
    message: `Removed ${attachment.name}`,
    concerns: [topic(owner)]
  });
