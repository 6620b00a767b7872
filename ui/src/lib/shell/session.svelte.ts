import { cache } from '$lib/api/cache';
import { api, ask, type Permission, type Session } from '$lib/api/client';

/** Who is signed in, for the whole interface. */
class Who {
  current = $state<Session>({ may: [] });

  /** Whoever is known to be signed in stays so while the server cannot tell. */
  async load(): Promise<Session> {
    try {
      this.current = await ask(api.GET('/api/v1/session'));
    } catch (fault) {
      if (!this.current.name) throw fault;
    }
    return this.current;
  }

  /** Throws where the name or the password is wrong. */
  async signIn(name: string, password: string) {
    this.current = await ask(api.POST('/api/v1/session', { body: { name, password } }));
    cache.clear();
  }

  async signOut() {
    await ask(api.DELETE('/api/v1/session'));
    this.current = { may: [] };
    cache.clear();
  }

  may(permission: Permission): boolean {
    return this.current.may.includes(permission);
  }
}

export const who = new Who();
