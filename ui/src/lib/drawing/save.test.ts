// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { standalone } from './save';

describe('a saved drawing', () => {
  it('stands on its own, with its colours written into it', () => {
    document.documentElement.style.setProperty('--steel', '#c9ccc8');
    document.body.innerHTML =
      '<svg width="10" height="10"><path class="x" d="M0 0L5 5" fill="var(--steel)"></path></svg>';
    const text = standalone(document.querySelector('svg') as SVGSVGElement);
    expect(text).toContain('xmlns="http://www.w3.org/2000/svg"');
    expect(text).toContain('fill="#c9ccc8"');
    expect(text).not.toContain('var(');
    expect(text).not.toContain('class');
  });
});
