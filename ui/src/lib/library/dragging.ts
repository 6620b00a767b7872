/** What is dragged when tools are: their ids as JSON. */
export const DRAGGED = 'application/x-arborline-tools';
