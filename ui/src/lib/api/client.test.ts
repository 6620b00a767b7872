// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api, ask, bring, Problem } from './client';

function answer(status: number, body: unknown) {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/json' }
  });
}

describe('an answer of the server', () => {
  it('is its data', async () => {
    const response = answer(200, {});
    await expect(ask(Promise.resolve({ data: 7, response }))).resolves.toBe(7);
  });

  it('is its refusal in its words, with the details', async () => {
    const response = answer(409, {});
    const error = { detail: 'number 7 is used by MC-1', details: [{ symbol: 'DC' }] };
    const refused = ask(Promise.resolve({ error, response }));
    await expect(refused).rejects.toMatchObject({
      status: 409,
      message: 'number 7 is used by MC-1',
      details: [{ symbol: 'DC' }]
    });
  });

  it('is said by its number where it gives no words', async () => {
    const response = answer(500, {});
    await expect(ask(Promise.resolve({ error: '', response }))).rejects.toThrow(
      'the server answered 500'
    );
  });

  it('that never comes says what to see to', async () => {
    const silent = ask(Promise.reject(new TypeError('Failed to fetch')));
    await expect(silent).rejects.toThrow('the server does not answer; see that it runs');
    await expect(silent).rejects.toBeInstanceOf(Problem);
  });
});

describe('a request', () => {
  afterEach(() => vi.unstubAllGlobals());

  async function sent(method: 'GET' | 'POST') {
    document.cookie = 'XSRF-TOKEN=a%2Fb';
    const calls: Request[] = [];
    const fetch = (request: Request) => {
      calls.push(request);
      return Promise.resolve(answer(200, {}));
    };
    const options = { fetch, baseUrl: 'http://localhost' };
    if (method === 'GET') {
      await api.GET('/api/v1/session', options);
    } else {
      await api.POST('/api/v1/libraries', { ...options, body: { name: 'Mills' } });
    }
    return calls[0];
  }

  it('that changes something carries the token of the cookie', async () => {
    expect((await sent('POST')).headers.get('X-XSRF-TOKEN')).toBe('a/b');
  });

  it('that only looks carries none', async () => {
    expect((await sent('GET')).headers.get('X-XSRF-TOKEN')).toBeNull();
  });
});

describe('bringing files in', () => {
  class FakeRequest {
    static last: FakeRequest;
    upload: { onprogress?: (event: { loaded: number; total: number }) => void } = {};
    onerror?: () => void;
    onload?: () => void;
    status = 0;
    responseText = '';
    body?: FormData;
    opened = '';

    constructor() {
      FakeRequest.last = this;
    }

    open(method: string, path: string) {
      this.opened = `${method} ${path}`;
    }

    setRequestHeader() {}

    send(body: FormData) {
      this.body = body;
    }

    answer(status: number, text: string) {
      this.status = status;
      this.responseText = text;
      this.onload?.();
    }
  }

  beforeEach(() => vi.stubGlobal('XMLHttpRequest', FakeRequest));
  afterEach(() => vi.unstubAllGlobals());

  const files = [new File(['a'], 'mills.csv'), new File(['b'], 'drills.csv')];

  it('sends all of them as one delivery and answers its number', async () => {
    const shares: number[] = [];
    const brought = bring(files, (share) => shares.push(share));
    const request = FakeRequest.last;
    expect(request.opened).toBe('POST /api/v1/deliveries');
    expect(request.body?.getAll('files').map((file) => (file as File).name)).toEqual([
      'mills.csv',
      'drills.csv'
    ]);
    request.upload.onprogress?.({ loaded: 1, total: 4 });
    request.answer(202, '{"id": 12}');
    await expect(brought).resolves.toBe(12);
    expect(shares).toEqual([0.25]);
  });

  it('says the refusal of the server', async () => {
    const brought = bring(files, () => {});
    FakeRequest.last.answer(400, '{"detail": "a delivery has at most 50 files"}');
    await expect(brought).rejects.toThrow('a delivery has at most 50 files');
  });

  it('says that nothing was received where the connection broke', async () => {
    const brought = bring(files, () => {});
    FakeRequest.last.onerror?.();
    await expect(brought).rejects.toThrow('nothing was received');
  });

  it('says the number of an answer without words', async () => {
    const brought = bring(files, () => {});
    FakeRequest.last.answer(413, '');
    await expect(brought).rejects.toThrow('the server answered 413');
  });
});
