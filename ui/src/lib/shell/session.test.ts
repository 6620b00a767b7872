import { beforeEach, describe, expect, it, vi } from 'vitest';

const clear = vi.hoisted(() => vi.fn());
vi.mock('$lib/api/cache', () => ({ cache: { clear } }));
vi.mock('$lib/api/client', () => import('$lib/testing/server'));

import { get, post, del } from '$lib/testing/server';
import { who } from './session.svelte';

describe('who is signed in', () => {
  beforeEach(() => vi.clearAllMocks());

  it('may do what the server says and nothing else', async () => {
    get.mockResolvedValue({ name: 'toolroom', may: ['LOAD'] });
    await who.load();
    expect(who.may('LOAD')).toBe(true);
    expect(who.may('EDIT')).toBe(false);
  });

  it('sees nothing of what was loaded for somebody else', async () => {
    post.mockResolvedValue({ name: 'lead', may: ['EDIT'] });
    await who.signIn('lead', 'a password of some length');
    expect(who.current.name).toBe('lead');
    expect(clear).toHaveBeenCalledOnce();
    del.mockResolvedValue(undefined);
    await who.signOut();
    expect(clear).toHaveBeenCalledTimes(2);
  });

  it('stays who it was where the password is wrong', async () => {
    get.mockResolvedValue({ name: 'visitor', may: [] });
    await who.load();
    post.mockRejectedValue(new Error('name or password is wrong'));
    await expect(who.signIn('lead', 'no')).rejects.toThrow('wrong');
    expect(who.current.name).toBe('visitor');
    expect(clear).not.toHaveBeenCalled();
  });

  it('is still known while the server cannot tell', async () => {
    get.mockResolvedValue({ name: 'lead', may: ['EDIT'] });
    await who.load();
    get.mockRejectedValue(new Error('the server does not reach its database'));
    await expect(who.load()).resolves.toMatchObject({ name: 'lead' });
  });

  it('is nobody once signed out, and where the server cannot tell that is said', async () => {
    get.mockResolvedValue({ name: 'lead', may: ['EDIT'] });
    await who.load();
    del.mockResolvedValue(undefined);
    await who.signOut();
    expect(who.may('EDIT')).toBe(false);
    get.mockRejectedValue(new Error('the server does not reach its database'));
    await expect(who.load()).rejects.toThrow('does not reach');
  });
});
