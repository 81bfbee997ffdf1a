/** A file that was dropped, and what became of it. */
export interface BroughtFile {
  id: number;
  file: File;
  state: 'waits' | 'comes' | 'there' | 'asks' | 'refused';
  /** 0..1 of what has arrived. */
  share: number;
  words: string;
  href?: string;
  /** How wide the original is, mm, where that was asked. */
  width?: number;
  stop?: () => void;
}

type Ended = Pick<BroughtFile, 'state' | 'words' | 'href'>;

interface Answer {
  ok: boolean;
  words?: string;
  message?: string;
  href?: string;
  ask?: string;
}

function ended(name: string, status: number, text: string): Ended {
  try {
    const answer = JSON.parse(text) as Answer;
    if (answer.ok)
      return { state: 'there', words: answer.words ?? '', href: answer.href ?? '/' };
    const words = answer.message ?? `${name}: it was refused (${status}).`;
    return { state: answer.ask ? 'asks' : 'refused', words };
  } catch {
    return { state: 'refused', words: `${name}: it was refused (${status}).` };
  }
}

/** Sends one file; tells how much of it has arrived, and how it ended. */
export function sendFile(
  file: File,
  width: number | undefined,
  progress: (share: number) => void,
): { ended: Promise<Ended>; stop: () => void } {
  const xhr = new XMLHttpRequest();
  const refused = (words: string): Ended => ({ state: 'refused', words });
  const promise = new Promise<Ended>((done) => {
    xhr.upload.onprogress = (e) => progress(e.total ? e.loaded / e.total : 0);
    xhr.onabort = () => done(refused(`${file.name}: stopped. Nothing of it was kept.`));
    xhr.onerror = () =>
      done(
        refused(`${file.name}: it did not arrive. Is it a folder? Nothing of it was kept.`),
      );
    xhr.onload = () => done(ended(file.name, xhr.status, xhr.responseText));
    const said = width === undefined ? '' : `&width=${width}`;
    xhr.open('PUT', `/api/bring?name=${encodeURIComponent(file.name)}${said}`);
    xhr.send(file);
  });
  return { ended: promise, stop: () => xhr.abort() };
}
