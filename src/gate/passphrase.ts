import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

/** RFC 7914 cost: 2^15 blocks of 8, about 32 MB and a tenth of a second. */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 2 ** 20 };
const KEY_BYTES = 32;
export const SHORTEST = 12;

/** What is kept of a passphrase; hex. */
export interface KeptPassphrase {
  salt: string;
  key: string;
}

const derive = (passphrase: string, salt: Buffer): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    scrypt(passphrase.normalize('NFC'), salt, KEY_BYTES, COST, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  );

/** Derives what is kept. Throws RangeError when the passphrase is too short. */
export async function keepPassphrase(passphrase: string): Promise<KeptPassphrase> {
  if (passphrase.length < SHORTEST)
    throw new RangeError(`A passphrase has at least ${SHORTEST} characters.`);
  const salt = randomBytes(16);
  const key = await derive(passphrase, salt);
  return { salt: salt.toString('hex'), key: key.toString('hex') };
}

export async function isPassphrase(kept: KeptPassphrase, typed: string): Promise<boolean> {
  const key = await derive(typed, Buffer.from(kept.salt, 'hex'));
  return timingSafeEqual(key, Buffer.from(kept.key, 'hex'));
}

const SESSION_MS = 12 * 3600_000;
const digest = (token: string) => createHash('sha256').update(token).digest('hex');

/** Who has given the passphrase: random tokens, of which only the hash is held. */
export class Sessions {
  private readonly until = new Map<string, number>();

  constructor(private readonly clock: () => number) {}

  open(): string {
    const token = randomBytes(32).toString('base64url');
    this.until.set(digest(token), this.clock() + SESSION_MS);
    return token;
  }

  holds(token: string | undefined): boolean {
    if (!token) return false;
    const key = digest(token);
    const until = this.until.get(key);
    if (until === undefined) return false;
    if (until > this.clock()) return true;
    this.until.delete(key);
    return false;
  }

  close(token: string | undefined): void {
    if (token) this.until.delete(digest(token));
  }
}

const TRIES = 5;
const WAIT_MS = 60_000;

/** Counts wrong tries by address; after some, it makes whoever tries wait, longer each time. */
export class TryLimit {
  private readonly tries = new Map<string, { wrong: number; waitUntil: number }>();

  constructor(private readonly clock: () => number) {}

  /** Seconds to wait before the next try; 0 when it may be made now. */
  wait(address: string): number {
    const until = this.tries.get(address)?.waitUntil ?? 0;
    return Math.max(0, Math.ceil((until - this.clock()) / 1000));
  }

  wrong(address: string): void {
    const wrong = (this.tries.get(address)?.wrong ?? 0) + 1;
    const beyond = wrong - TRIES;
    const waitUntil = beyond < 0 ? 0 : this.clock() + WAIT_MS * 2 ** Math.min(beyond, 6);
    this.tries.set(address, { wrong, waitUntil });
  }

  right(address: string): void {
    this.tries.delete(address);
  }
}

const ALL_TRIES = 60;
const ALL_WITHIN_MS = 10 * 60_000;

/** Counts tries from all addresses together: whoever has many of them gains nothing. */
export class AllTries {
  private readonly at: number[] = [];

  constructor(private readonly clock: () => number) {}

  /** Seconds until anybody may try again; 0 when one may now. */
  wait(): number {
    const now = this.clock();
    while (this.at.length > 0 && this.at[0]! + ALL_WITHIN_MS <= now) this.at.shift();
    if (this.at.length < ALL_TRIES) return 0;
    return Math.ceil((this.at[0]! + ALL_WITHIN_MS - now) / 1000);
  }

  tried(): void {
    this.at.push(this.clock());
  }
}
