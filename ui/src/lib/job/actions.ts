import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type JobOrder, type JobView } from '$lib/api/client';

const all = ['job', ALL];
const concerns = (id: number) => [all, ['job', String(id)], ['machine']];

/** @param start what it begins with: all that is planned at the machine, or the tools of a job */
export const makeJob = (job: JobOrder, start: { ofLoad?: boolean; copyOf?: number }) =>
  act({
    ask: () => ask(api.POST('/api/v1/jobs', { body: { job, ...start } })),
    message: `Made job ${job.name ?? ''}`,
    concerns: [all, ['machine']]
  });

/** A job as it is, to be changed. */
export const orderOf = ({ head, tools }: JobView): JobOrder => ({
  name: head.name,
  part: head.part,
  machine: head.machine,
  tools: tools.map(({ number, toolId, libraryId, uses }) => ({ number, toolId, libraryId, uses }))
});

export const changeJob = (view: JobView, order: JobOrder, message: string) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/jobs/{id}', {
          params: { path: { id: view.head.id }, query: { version: view.version } },
          body: order
        })
      ),
    message,
    concerns: concerns(view.head.id)
  });

export const finishJob = (id: number, finished: boolean) =>
  act({
    ask: () =>
      ask(api.PUT('/api/v1/jobs/{id}/finished', { params: { path: { id } }, body: { finished } })),
    message: finished ? 'Finished: its tools may be changed' : 'Opened again',
    concerns: concerns(id)
  });

export const deleteJob = (id: number) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/jobs/{id}', { params: { path: { id } } })),
    message: 'Deleted the job',
    concerns: [all, ['machine']]
  });
