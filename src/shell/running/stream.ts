import type { JobView } from './job';

/** What a tab hears: all long work, as it stands now. */
export type Hear = (jobs: JobView[]) => void;

const NAME = 'glassine-running';

/** The server's stream, to whoever holds it. */
function openStream(hear: Hear): () => void {
  const events = new EventSource('/api/running');
  events.onmessage = (message) => hear(JSON.parse(String(message.data)) as JobView[]);
  return () => events.close();
}

/**
 * Hears of all long work. Of all tabs of a browser one holds the connection and tells the others:
 * a browser has only a few to one host, and pages need them. When that tab is closed, the next
 * takes over. Where the browser knows no locks, each tab listens for itself.
 */
export function hearRunning(hear: Hear): { stop: () => void; holds: () => boolean } {
  if (!('locks' in navigator) || !('BroadcastChannel' in window)) {
    const close = openStream(hear);
    return { stop: close, holds: () => true };
  }
  const channel = new BroadcastChannel(NAME);
  const gone = new AbortController();
  let last: JobView[] | null = null;
  let holding = false;
  channel.onmessage = ({ data }: MessageEvent<{ ask: true } | { jobs: JobView[] }>) => {
    if ('jobs' in data) hear(data.jobs);
    // Who has just come asks how things stand.
    else if (holding && last) channel.postMessage({ jobs: last });
  };
  channel.postMessage({ ask: true });
  navigator.locks
    .request(NAME, { signal: gone.signal }, () => {
      holding = true;
      const close = openStream((jobs) => {
        last = jobs;
        hear(jobs);
        channel.postMessage({ jobs });
      });
      return new Promise<void>((done) =>
        gone.signal.addEventListener('abort', () => {
          close();
          done();
        }),
      );
    })
    .catch(() => undefined);
  return {
    stop: () => {
      gone.abort();
      channel.close();
    },
    holds: () => holding,
  };
}
