/** Opens the studio when the server starts: migrations, sweep, cut-off jobs. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { studio } = await import('./studio/open');
  await studio();
}
