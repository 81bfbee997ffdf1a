/** Opens the studio when the server starts: migrations, sweep, cut-off jobs. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  // Without its gate it would answer any site and any machine.
  if (process.env.NODE_ENV === 'production' && process.env.GLASSINE_GATED !== '1')
    throw new Error('Start Glassine with `npm start`: it is not served without its gate.');
  const { studio } = await import('@/studio/open/open');
  const { remakeMissing } = await import('@/studio/open/remake');
  const { fallingShort } = await import('@/studio/reads/fallingShort');
  const { lapsedNow } = await import('@/studio/reads/lapsedReferences');
  const { readSettings } = await import('@/data');
  const open = await studio();
  await remakeMissing(open);
  // The first look at the table finds it judged.
  const settings = await readSettings(open.db.read);
  // What goes wrong here is said when the table asks.
  void fallingShort(open.db.read)
    .upTo(open.db.read, settings)
    .catch(() => undefined);
  void lapsedNow(open.db.read)
    .upTo(open.db.read, settings)
    .catch(() => undefined);
}
