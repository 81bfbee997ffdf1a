import type { Config } from 'drizzle-kit';

export default {
  dialect: 'sqlite',
  schema: './src/data/schema/*.ts',
  out: './drizzle',
} satisfies Config;
