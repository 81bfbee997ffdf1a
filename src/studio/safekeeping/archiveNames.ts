/** Name of the database within a backup. */
export const DATABASE = 'studio.db';
/** Name of a stored file within a backup. */
export const storedName = (sha256: string) => `files/${sha256.slice(0, 2)}/${sha256}`;
