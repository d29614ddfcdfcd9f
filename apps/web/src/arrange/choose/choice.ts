import { recipeOf, SCHOOLS, KINDS, type Kind, type Recipe, type Season, type School } from '@red-shelf/core';
import type { ArrangeRequest, OrderBody, Preferences, RecordView } from '@red-shelf/contract';
import { z } from 'zod';

/** What was chosen so far; kept while one is elsewhere. */
export const choiceSchema = z.object({
  kinds: z.array(z.enum(KINDS)),
  /** Null until places are chosen by hand: then those made for the kinds are meant. */
  unitIds: z.array(z.string()).nullable(),
  outOf: z.array(z.string()),
  fromElsewhere: z.boolean(),
  /** `mine`, a school or an order that was kept. */
  order: z.string(),
  /** Null as the order says. */
  smooth: z.number().nullable(),
  lightness: z.enum(['light-first', 'dark-first']).nullable(),
  near: z.number(),
  begin: z.enum(['anywhere', 'line', 'unit']).default('anywhere'),
  together: z.array(z.enum(['companions', 'collections'])),
});
export type Choice = z.output<typeof choiceSchema>;

export const MINE = 'mine';
export const startingWith = (kind: Kind): Choice => ({
  kinds: [kind],
  unitIds: null,
  outOf: [],
  fromElsewhere: false,
  order: MINE,
  smooth: null,
  lightness: null,
  near: 0,
  begin: 'anywhere',
  together: [],
});

type Kept = RecordView & { readonly body: OrderBody };
type Ordering = Pick<ArrangeRequest, 'recipes'> & { readonly scheme: NonNullable<ArrangeRequest['scheme']> };

const schoolOf = ({ order }: Choice): School | undefined => SCHOOLS.find(({ id }) => id === order);

/** The order that was chosen, with what was changed on it since. */
export function orderingOf(
  choice: Choice,
  preferences: Preferences,
  kept: readonly Kept[],
  inSight: readonly Season[],
): Ordering {
  const school = schoolOf(choice);
  const own = kept.find(({ id }) => id === choice.order)?.body;
  const { familyOrder, lightness, smooth, purposes, recipes } = preferences;
  const mine = { familyOrder, lightness, smooth, picture: false };
  const scheme = own?.scheme ?? {
    ...mine,
    ...(school ? { smooth: school.smooth ?? 0, picture: school.picture ?? false } : {}),
  };
  return {
    recipes:
      own?.recipes ??
      (school ? Object.fromEntries(KINDS.map((kind) => [kind, [...school.recipe]])) : recipes),
    scheme: {
      ...scheme,
      purposes,
      ...(inSight.length > 0 ? { inSight: [...inSight] } : {}),
      lightness: choice.lightness ?? scheme.lightness,
      smooth: choice.smooth ?? scheme.smooth ?? 0,
    },
  };
}

/** Whether lightness decides anywhere in what is arranged: a name or a code leaves nothing to it. */
export function isByLightness({ kinds }: Choice, { recipes = {}, scheme }: Ordering): boolean {
  if (scheme.picture) return false;
  const left = (recipe: Recipe): Recipe =>
    recipe.includes('lightness') ? recipe.slice(0, recipe.indexOf('lightness')) : recipe;
  return kinds.some((kind) => {
    const before = left(recipeOf(recipes, { kind, form: '' }));
    return !before.includes('name') && !before.includes('code');
  });
}

/** What the order is called. */
export function nameOfOrder(choice: Choice, kept: readonly Kept[]): string {
  const own = kept.find(({ id }) => id === choice.order);
  return own?.body.name ?? schoolOf(choice)?.name ?? 'as I sort each kind';
}
