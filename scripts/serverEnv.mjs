/**
 * How the server runs. The system's allocator gives large pieces back when they are let go, and
 * keeps few arenas: what long work took is not held for ever (glibc, mallopt(3)).
 */
export const SERVER_ENV = {
  NODE_ENV: 'production',
  NEXT_TELEMETRY_DISABLED: '1',
  MALLOC_ARENA_MAX: '2',
  MALLOC_MMAP_THRESHOLD_: '1000000',
};
