import { api, ask, type Session } from '$lib/api/client';

/** Who is signed in, for the whole interface. */
class Who {
  current = $state<Session>({ may: [] });

  async load(): Promise<Session> {
    this.current = await ask(api.GET('/api/v1/session'));
    return this.current;
  }

  may(permission: 'EDIT' | 'RECEIVE' | 'LOAD' | 'PROVE'): boolean {
    return this.current.may.includes(permission);
  }
}

export const who = new Who();
