import { connect } from 'node:net';
import type { Socket } from 'node:net';
import type { StudioServer } from '../support/studioServer';

export const placeOf = ({ url }: StudioServer) => {
  const { hostname, port, host } = new URL(url);
  return { hostname, port: Number(port), host };
};

/** A connection on which anything can be said; from another loopback address, if wanted. */
export const opened = (server: StudioServer, from?: string): Promise<Socket> =>
  new Promise((done, failed) => {
    const { hostname, port } = placeOf(server);
    const socket = connect({ host: hostname, port, localAddress: from }, () =>
      done(socket),
    );
    socket.on('error', failed);
  });

/** Says lines as they are, and answers the status that came back; 0 where the line was cut. */
export async function said(
  server: StudioServer,
  lines: string[],
  { body = '', from }: { body?: string; from?: string } = {},
): Promise<{ status: number; text: string }> {
  const socket = await opened(server, from);
  let text = '';
  socket.on('data', (part) => (text += String(part)));
  socket.on('error', () => undefined);
  socket.write(`${[...lines, 'Connection: close'].join('\r\n')}\r\n\r\n${body}`);
  await new Promise((r) => socket.once('close', r));
  return { status: Number(/^HTTP\/1\.1 (\d+)/.exec(text)?.[1] ?? 0), text };
}

/** The most memory a process has held, MB (Linux, proc(5)). */
export async function mostMemory(server: StudioServer): Promise<number> {
  const { readFile } = await import('node:fs/promises');
  const status = await readFile(`/proc/${server.pid}/status`, 'utf8');
  return Math.round(Number(/VmHWM:\s+(\d+)/.exec(status)![1]) / 1024);
}
