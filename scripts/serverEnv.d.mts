export const SERVER_ENV: Record<string, string>;
