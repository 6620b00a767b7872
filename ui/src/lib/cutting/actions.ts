import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import {
  api,
  ask,
  type CuttingLine,
  type FactorBody,
  type LineBody,
  type MaterialBody
} from '$lib/api/client';
import { count } from '$lib/shell/text';

const concerns = (toolId: number) => [['tool', String(toolId), 'cutting']];

export const saveLine = (toolId: number, body: LineBody) =>
  act({
    ask: () =>
      ask(api.POST('/api/v1/tools/{id}/cutting', { params: { path: { id: toolId } }, body })),
    message: 'Saved the cutting data',
    concerns: concerns(toolId)
  });

export const proveLine = (toolId: number, line: CuttingLine, machine: string) =>
  act({
    ask: () =>
      ask(
        api.PUT('/api/v1/cutting/{id}/proven', {
          params: { path: { id: line.id }, query: { version: line.version } },
          body: { machine, speed: line.speed, feed: line.feed }
        })
      ),
    message: `Proven on ${machine}`,
    concerns: concerns(toolId)
  });

export const removeLine = (toolId: number, line: CuttingLine) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/cutting/{id}', { params: { path: { id: line.id } } })),
    message: 'Removed the line',
    concerns: concerns(toolId)
  });

/** Adds a material of the shop; throws where something about it is wrong. */
export const addMaterial = (body: MaterialBody) =>
  perform({
    ask: () => ask(api.POST('/api/v1/materials', { body })),
    message: `Added ${body.name}`,
    concerns: [['material', ALL]]
  });

/** Removes a material of the shop; throws where cutting data still needs it. */
export const removeMaterial = (id: string, title: string) =>
  perform({
    ask: () => ask(api.DELETE('/api/v1/materials/{id}', { params: { path: { id } } })),
    message: `Removed ${title}`,
    concerns: [['material', ALL]]
  });

/** Multiplies a number of the cutting data of many tools. */
export const multiplyCutting = (body: FactorBody) =>
  act({
    ask: () => ask(api.POST('/api/v1/cutting/bulk', { body })),
    message: ({ changed }) => `Changed ${count(changed, 'line')} of cutting data`,
    concerns: [['tool'], ['library']]
  });
