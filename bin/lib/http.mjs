// Somebody who asks this server as a browser does, with cookies of their own.
export class Visitor {
  #cookies = new Map();

  constructor(address) {
    this.address = address;
  }

  /** @returns the answer; its cookies are kept. Fails where the server does not answer. */
  async call(method, url, body, { signal, raw, headers = {} } = {}) {
    const token = this.#cookies.get('XSRF-TOKEN') ?? '';
    const answer = await fetch(this.address + url, {
      method,
      redirect: 'manual',
      signal: signal ?? AbortSignal.timeout(60_000),
      headers: {
        Accept: 'application/json',
        'Content-Type': 'application/json',
        Origin: this.address,
        'X-Gorvan-Mine': '1',
        Referer: `${this.address}/`,
        Cookie: [...this.#cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        'X-XSRF-TOKEN': decodeURIComponent(token),
        ...headers,
      },
      ...(raw !== undefined ? { body: raw } : body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    for (const set of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(set) ?? [];
      this.#cookies.set(name, value);
    }
    return answer;
  }
}

/** Whole numbers from 0 up to below the most, the same ones for the same seed (Park and Miller's minimal standard generator). */
export function drawing(seed) {
  let state = seed;
  return (most) => {
    state = (state * 16807) % 2147483647;
    return state % most;
  };
}
