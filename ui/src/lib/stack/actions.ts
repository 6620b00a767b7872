import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type Component, type StackBody } from '$lib/api/client';

/**
 * Saves a new stack, or a change of one that started from a version.
 *
 * @param kept the stack that changes; null for a new one
 */
export const saveStack = (
  toolId: number,
  kept: number | null,
  version: number,
  body: StackBody,
  undone: () => void
) =>
  act({
    ask: () =>
      kept
        ? ask(
            api.PUT('/api/v1/stacks/{id}', {
              params: { path: { id: kept }, query: { version } },
              body
            })
          )
        : ask(api.POST('/api/v1/tools/{id}/stacks', { params: { path: { id: toolId } }, body })),
    message: 'Saved the stack',
    concerns: [['tool', String(toolId), 'stacks']],
    undone
  });

export const deleteStack = (toolId: number, id: number, undone: () => void) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/stacks/{id}', { params: { path: { id } } })),
    message: 'Deleted the stack',
    concerns: [['tool', String(toolId), 'stacks']],
    undone
  });

/** Lets a version of a stack stand again. */
export const stackBack = (toolId: number, id: number, base: number, version: number) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/stacks/{id}/back', { params: { path: { id } }, body: { base, version } })
      ),
    message: `The stack is as in version ${version} again`,
    concerns: [['tool', String(toolId), 'stacks']]
  });

const concerns = (id: number) => [['component', ALL], ['component', String(id)], ['tool']];

/** Saves a new component; throws where rules stand against it. */
export const createComponent = (body: Component) =>
  perform({
    ask: () => ask(api.POST('/api/v1/components', { body })),
    message: (saved) => `Saved ${saved.component.code}`,
    concerns: [['component', ALL]]
  });

/**
 * Saves a change of a component; throws where rules or another change stand against it.
 *
 * @param stays stacks that keep what the component was
 */
export const saveComponent = (id: number, version: number, stays: number[], body: Component) =>
  perform({
    ask: () =>
      ask(
        api.PUT('/api/v1/components/{id}', {
          params: { path: { id }, query: { version, stays } },
          body
        })
      ),
    message: (saved) => `Saved ${saved.component.code}`,
    concerns: concerns(id)
  });

/** Lets a version of a component stand again. */
export const componentBack = (id: number, base: number, version: number) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/components/{id}/back', {
          params: { path: { id } },
          body: { base, version }
        })
      ),
    message: (now) => `${now.component.code} is as in version ${version} again`,
    concerns: concerns(id)
  });

/** Takes a component out of use, or into use again. */
export const retireComponent = (id: number, retired: boolean) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/components/{id}/retired', { params: { path: { id }, query: { retired } } })
      ),
    concerns: concerns(id)
  });
