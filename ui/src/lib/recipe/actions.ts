import { act } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type RecipeBody } from '$lib/api/client';

const concerns = [['recipe', ALL]];

/** Saves how a file is read under a name. */
export const saveRecipe = (delivery: number, file: number, name: string) =>
  act({
    ask: () =>
      ask(
        api.POST('/api/v1/deliveries/{id}/recipe', {
          params: { path: { id: delivery }, query: { file } },
          body: { name }
        })
      ),
    message: (saved) => `Saved recipe ${saved.name}, version ${saved.number}`,
    concerns
  });

export const bringRecipe = (body: RecipeBody) =>
  act({
    ask: () => ask(api.POST('/api/v1/recipes', { body })),
    message: (brought) => `Recipe ${brought.name}, version ${brought.number} is here`,
    concerns
  });

export const deleteRecipe = (id: number, name: string) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/recipes/{id}', { params: { path: { id } } })),
    message: `Deleted recipe ${name}`,
    concerns
  });
