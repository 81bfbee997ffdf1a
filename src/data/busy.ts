/** How long a database waits for another process before it says that it is held. */
export const BUSY_MS = 2000;
