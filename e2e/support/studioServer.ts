import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createClient } from '@libsql/client';
import type { Row } from '@libsql/client';
import { join } from 'node:path';
import { SERVER_ENV } from '../../scripts/serverEnv.mjs';

interface Reference {
  filename: string;
  exportedName: string;
}

/** Number of a server action in the build, by the file and the name it is exported under. */
function actionId(file: string, name: string): string {
  const { node } = JSON.parse(
    readFileSync('.next/server/server-reference-manifest.json', 'utf8'),
  ) as { node: Record<string, Reference> };
  const found = Object.entries(node).find(
    ([, r]) => r.filename === file && r.exportedName === name,
  );
  if (!found) throw new Error(`no action ${name} in ${file}`);
  return found[0];
}

export type Answer<T = unknown> =
  { ok: true; value: T } | { ok: false; message: string; fields: Record<string, string> };

/** The built application as its own process on a data folder of its own. */
export class StudioServer {
  private child: ChildProcess | null = null;
  private said = '';

  constructor(
    readonly home: string,
    readonly port: number,
    private readonly env: Record<string, string> = {},
  ) {}

  get url(): string {
    return `http://${this.env.GLASSINE_BIND ?? '127.0.0.1'}:${this.port}`;
  }

  /** What it wrote to its terminal since it was started. */
  get output(): string {
    return this.said;
  }

  get pid(): number {
    return this.child!.pid!;
  }

  /** Starts it and waits until it answers; throws with its words when it ends instead. */
  async start(): Promise<void> {
    // Another's answer would be taken for its own.
    if (await fetch(this.url).catch(() => null))
      throw new Error(`something else answers at ${this.url}`);
    this.said = '';
    const child = spawn(process.execPath, ['.next/glassine-server.mjs'], {
      env: {
        ...process.env,
        GLASSINE_HOME: this.home,
        PORT: String(this.port),
        ...SERVER_ENV,
        ...this.env,
      },
    });
    this.child = child;
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (text: Buffer) => (this.said += String(text)));
    const until = Date.now() + 180_000;
    while (Date.now() < until) {
      if (child.exitCode !== null)
        throw new Error(`the server ended with ${child.exitCode}: ${this.said}`);
      const answered = await fetch(`${this.url}/api/find?find=`).catch(() => null);
      if (answered) return;
      await new Promise((r) => setTimeout(r, 50));
    }
    throw new Error(`the server does not answer: ${this.said}`);
  }

  /** Ends it the hard way, and waits until it is gone. */
  async kill(): Promise<void> {
    const child = this.child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((r) => child.once('exit', r));
    child.kill('SIGKILL');
    await gone;
  }

  /** Calls a server action as the page does; null when the server died before it answered. */
  async action<T>(
    page: string,
    file: string,
    name: string,
    typed: Record<string, string>,
    headers: Record<string, string> = {},
  ): Promise<Answer<T> | null> {
    try {
      const response = await fetch(`${this.url}${page}`, {
        method: 'POST',
        headers: {
          'next-action': actionId(file, name),
          'content-type': 'text/plain;charset=UTF-8',
          accept: 'text/x-component',
          ...headers,
        },
        body: JSON.stringify([typed]),
      });
      const text = await response.text();
      const line = text.split('\n').find((l) => l.startsWith('1:{'));
      return line ? (JSON.parse(line.slice(2)) as Answer<T>) : null;
    } catch {
      return null;
    }
  }

  /** Reads the database beside the server. */
  async rows<T = Row>(sql: string): Promise<T[]> {
    const client = createClient({ url: `file:${join(this.home, 'studio.db')}` });
    try {
      return (await client.execute(sql)).rows as unknown as T[];
    } finally {
      client.close();
    }
  }
}
