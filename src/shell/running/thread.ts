/** What a thread says first of all, once its code is there. */
export const ALIVE = 'alive';

/** A thread of the page. */
export interface PageThread {
  worker: Worker;
  /** Comes true with its first word; false where its code could not be loaded. */
  alive: Promise<boolean>;
  end: () => void;
}

/**
 * Takes care of a thread that says `ALIVE` first. Ended before it did, it is let come alive first:
 * a browser that gives up loading its code gives up that of the next thread with it, which would
 * then never come alive.
 */
export function pageThread(worker: Worker): PageThread {
  let over = false;
  const alive = new Promise<boolean>((tell) => {
    const heard = (is: boolean) => () => {
      worker.removeEventListener('message', came);
      worker.removeEventListener('error', failed);
      if (over || !is) worker.terminate();
      over ||= !is;
      isAlive = is;
      tell(is);
    };
    const [came, failed] = [heard(true), heard(false)];
    worker.addEventListener('message', came);
    worker.addEventListener('error', failed);
  });
  let isAlive = false;
  return {
    worker,
    alive,
    end: () => {
      over = true;
      if (isAlive) worker.terminate();
    },
  };
}
