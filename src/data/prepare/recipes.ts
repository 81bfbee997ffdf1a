import { desc, eq, sql } from 'drizzle-orm';
import type { Reading, Writing } from '../reading';
import { profiles, recipes } from '../schema';
import { record } from '../log/log';

export type RecipeRow = typeof recipes.$inferSelect;
export type ProfileRow = typeof profiles.$inferSelect;

/** Keeps a recipe under a name, as its next version. */
export async function addRecipe(
  tx: Writing,
  recipe: Omit<RecipeRow, 'id' | 'version'>,
): Promise<RecipeRow> {
  const [last] = await tx
    .select({ version: sql<number>`coalesce(max(${recipes.version}), 0)` })
    .from(recipes)
    .where(eq(recipes.name, recipe.name));
  const version = 1 + (last?.version ?? 0);
  const row = await record(
    tx,
    recipes,
    { ...recipe, version },
    {
      at: recipe.at,
      what: 'recipe.kept',
      detail: { name: recipe.name, version, remarks: recipe.remarks },
    },
  );
  return row;
}

/** Every named recipe in the order of their names, each with its versions, the newest first. */
export const namedRecipes = (db: Reading): Promise<RecipeRow[]> =>
  db
    .select()
    .from(recipes)
    .orderBy(sql`lower(${recipes.name})`, desc(recipes.version));

export const getRecipe = (db: Reading, id: number): Promise<RecipeRow | undefined> =>
  db.query.recipes.findFirst({ where: eq(recipes.id, id) });

/** Keeps a printer's profile; one that is there already stays as it is. */
export async function addProfile(tx: Writing, profile: ProfileRow): Promise<boolean> {
  if (await getProfile(tx, profile.sha256)) return false;
  await record(tx, profiles, profile, {
    at: profile.at,
    what: 'profile.taken',
    detail: { name: profile.name, space: profile.space },
  });
  return true;
}

export const profilesNow = (db: Reading): Promise<ProfileRow[]> =>
  db
    .select()
    .from(profiles)
    .orderBy(sql`lower(${profiles.name})`);

export const getProfile = (db: Reading, sha256: string): Promise<ProfileRow | undefined> =>
  db.query.profiles.findFirst({ where: eq(profiles.sha256, sha256) });
