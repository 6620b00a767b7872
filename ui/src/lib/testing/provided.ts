import { configure, render } from '@testing-library/svelte';
import type { Component } from 'svelte';
import Provided from './Provided.svelte';

// A machine that checks much at once is slow; what never comes is still found out.
configure({ asyncUtilTimeout: 10_000 });

/**
 * Renders a part of the interface that asks the server, with an empty store of answers; `change`
 * gives it other properties.
 */
export function renderPart(part: unknown, props: Record<string, unknown>) {
  const shown = render(Provided, { props: { part: part as Component, given: props } });
  const change = (other: Record<string, unknown>) => shown.rerender({ given: other });
  return { ...shown, change };
}
