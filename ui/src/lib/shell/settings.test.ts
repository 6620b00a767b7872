// @vitest-environment jsdom
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { settings } from './settings.svelte';

function systemIs(dark: boolean) {
  vi.stubGlobal('matchMedia', () => ({ matches: dark }));
}

describe('how somebody looks at things', () => {
  beforeEach(() => {
    localStorage.clear();
    systemIs(false);
  });

  it('begins as the system is', () => {
    systemIs(true);
    settings.load();
    expect(settings.theme).toBe('night');
    expect(document.documentElement.dataset.theme).toBe('night');
    expect(settings.unit).toBe('mm');
  });

  it('keeps what was chosen against the system', () => {
    settings.load();
    settings.toggleTheme();
    expect(settings.theme).toBe('night');
    settings.load();
    expect(settings.theme).toBe('night');
    settings.toggleTheme();
    systemIs(true);
    settings.load();
    expect(settings.theme).toBe('daylight');
  });

  it('keeps the unit of the view', () => {
    settings.load();
    settings.toggleUnit();
    settings.load();
    expect(settings.unit).toBe('in');
    settings.toggleUnit();
    settings.load();
    expect(settings.unit).toBe('mm');
  });

  it('takes no word that it does not know', () => {
    localStorage.setItem('theme', 'plaid');
    localStorage.setItem('unit', 'furlong');
    settings.load();
    expect(settings.theme).toBe('daylight');
    expect(settings.unit).toBe('mm');
  });
});
