/** Codes of the system and of the database, and what each means for the user. */
const FAULTS: [RegExp, string][] = [
  [
    /SQLITE_CONSTRAINT_FOREIGNKEY|FOREIGN KEY constraint failed/i,
    'What this is about is not there any more. Nothing of it was kept: reload the page, then try again.',
  ],
  [
    /ENOSPC|SQLITE_FULL|database or disk is full|no space left/i,
    'The disk with the data folder is full. Nothing of this was kept, and what you typed is still here: make room, then try again.',
  ],
  [
    /EDQUOT|quota/i,
    'The quota of the data folder is used up. Nothing of this was kept, and what you typed is still here: make room, then try again.',
  ],
  [
    /EROFS|EACCES|EPERM|SQLITE_READONLY|readonly database|read-only/i,
    'The data folder cannot be written to. Nothing of this was kept, and what you typed is still here: check its permissions and whether its disk is mounted for writing, then try again.',
  ],
  [
    /SQLITE_BUSY|SQLITE_LOCKED|database is locked/i,
    'Another program is holding the database. Nothing of this was kept, and what you typed is still here: close the other program, then try again.',
  ],
  [
    /SQLITE_CORRUPT|SQLITE_NOTADB|malformed/i,
    'The database file is damaged. Nothing of this was kept. Stop Glassine and go back to a backup.',
  ],
  [
    /SQLITE_IOERR|EIO\b/i,
    'The disk with the data folder does not answer as it should. Nothing of this was kept: check the disk, and make a backup elsewhere.',
  ],
];

/** Everything an error says of itself and of what caused it. */
function chain(error: unknown): string {
  const parts: string[] = [];
  for (let e = error, depth = 0; e !== undefined && e !== null && depth < 5; depth += 1) {
    const { code, message, cause } = e as NodeJS.ErrnoException & { cause?: unknown };
    parts.push(code ?? '', message ?? '');
    e = cause;
  }
  return parts.join(' ');
}

/** A fault of the disk or the database in words; null for an error of another kind. */
export function faultWords(error: unknown): string | null {
  const said = chain(error);
  return FAULTS.find(([pattern]) => pattern.test(said))?.[1] ?? null;
}
