import type { IncomingMessage, RequestListener, Server, ServerResponse } from 'node:http';
import { actionCall, watchBody } from './bodies';
import { sayNo } from './gate';
import { misshapen } from './shape';

type MayPass = (request: IncomingMessage, response: ServerResponse) => Promise<boolean>;
type Handle = (request: IncomingMessage, response: ServerResponse) => Promise<unknown>;

/** Calls of actions are sent to pages; what is sent to `/api` is read by its route. */
const isActionCall = ({ method, url = '' }: IncomingMessage): boolean =>
  method === 'POST' && !/^\/api\//.test(url);

/** Every request, in the order in which it is held up: its shape, the gate, its body; then it is handled. */
export const guard =
  (mayPass: MayPass, handle: Handle): RequestListener =>
  (request, response) => {
    const go = async () => {
      const wrong = misshapen(request);
      if (wrong) return sayNo(response, wrong);
      const whole = isActionCall(request);
      watchBody(request, whole);
      if (!(await mayPass(request, response))) return;
      if (!whole) return handle(request, response);
      const read = await actionCall(request);
      return 'refused' in read
        ? sayNo(response, read.refused)
        : handle(read.call, response);
    };
    go().catch(() => {
      if (!response.headersSent) response.statusCode = 500;
      response.end('Something went wrong. Nothing stored was changed.');
    });
  };

/**
 * Requests to go over to another protocol are never answered: they would pass every gate.
 * Whatever else listens for them on this server, now or later, does not hear of them.
 */
export function noUpgrades(server: Server): void {
  server.on('upgrade', (_request, socket) => socket.destroy());
  server.on('connect', (_request, socket) => socket.destroy());
  const ours = server.listeners('upgrade');
  server.on('newListener', (event: string, listener: () => void) => {
    if (event !== 'upgrade' || ours.includes(listener)) return;
    queueMicrotask(() => server.off('upgrade', listener));
  });
}
