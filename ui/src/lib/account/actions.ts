import { act, perform } from '$lib/api/act';
import { ALL } from '$lib/api/cache';
import { api, ask, type Permission, type Role } from '$lib/api/client';

const ACCOUNTS = [['account', ALL]];
const OWN_KEYS = [['account', 'own', 'keys']];

/** Opens an account; answers its link. */
export const invite = (name: string, role: Role) =>
  perform({
    ask: () => ask(api.POST('/api/v1/accounts', { body: { name, role } })),
    concerns: ACCOUNTS
  });

/** Another link for an account, by which a new password is chosen. */
export const inviteAgain = (id: number) =>
  act({
    ask: () => ask(api.POST('/api/v1/accounts/{id}/invitation', { params: { path: { id } } })),
    concerns: ACCOUNTS
  });

export const changeAccount = (
  id: number,
  body: { role?: Role; disabled?: boolean },
  message: string
) =>
  act({
    ask: () => ask(api.PATCH('/api/v1/accounts/{id}', { params: { path: { id } }, body })),
    message,
    concerns: ACCOUNTS
  });

export const signOutEverywhere = (id: number, name: string) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/accounts/{id}/sessions', { params: { path: { id } } })),
    message: ({ sessions }) =>
      sessions === 1
        ? `${name} was signed out of 1 browser`
        : `${name} was signed out of ${sessions} browsers`,
    concerns: ACCOUNTS
  });

export const removeKeyOf = (id: number, keyId: number) =>
  act({
    ask: () =>
      ask(api.DELETE('/api/v1/accounts/{id}/keys/{keyId}', { params: { path: { id, keyId } } })),
    message: 'The key was removed',
    concerns: [...ACCOUNTS, ['account', String(id), 'keys']]
  });

/** Gives whoever is signed in another password. */
export const changePassword = (old: string, fresh: string) =>
  perform({
    ask: () => ask(api.PUT('/api/v1/session/password', { body: { old, fresh } })),
    message: 'The new password counts from now on',
    concerns: []
  });

/** Makes a key; answers what scripts send, which is shown once. */
export const makeKey = (name: string, scopes: Permission[]) =>
  perform({
    ask: () => ask(api.POST('/api/v1/session/keys', { body: { name, scopes } })),
    concerns: OWN_KEYS
  });

export const removeKey = (id: number) =>
  act({
    ask: () => ask(api.DELETE('/api/v1/session/keys/{id}', { params: { path: { id } } })),
    message: 'The key was removed; what uses it is refused from now on',
    concerns: OWN_KEYS
  });

/** Whom a link invites. */
export const welcome = (token: string) =>
  ask(api.POST('/api/v1/invitations/look', { body: { token } }));

/** Chooses a password by a link. */
export const acceptInvitation = (token: string, password: string) =>
  ask(api.POST('/api/v1/invitations/accept', { body: { token, password } }));
