import type { Recipe } from './headings';

/** A ready-made way to put things in order. */
export interface School {
  readonly id: string;
  readonly name: string;
  /** Whom it suits, in a line. */
  readonly suits: string;
  readonly recipe: Recipe;
  /** How smooth the colours follow one another; by lightness where left out. */
  readonly smooth?: number;
  /** Racks are filled as a picture. */
  readonly picture?: boolean;
}

/** One for each school of arrangement; each is a recipe that can be changed and kept under a name of one's own. */
export const SCHOOLS: readonly School[] = [
  {
    id: 'rainbow',
    name: 'Rainbow, light to dark',
    suits: 'Suits most: one knows the colour, then how light it is.',
    recipe: ['family', 'lightness', 'finish'],
  },
  {
    id: 'smooth',
    name: 'Rainbow, as smooth as can be',
    suits: 'For who finds a colour by its neighbours, and likes the wall to look like one.',
    recipe: ['family', 'lightness', 'finish'],
    smooth: 1,
  },
  {
    id: 'picture',
    name: 'Rack as a picture',
    suits: 'For racks one looks at from across the room: hue across, light to dark down.',
    recipe: ['family', 'lightness', 'finish'],
    picture: true,
  },
  {
    id: 'range',
    name: 'By maker and range',
    suits: 'For who completes ranges, or looks for a maker’s style first.',
    recipe: ['maker', 'range', 'family', 'lightness'],
  },
  {
    id: 'type',
    name: 'By size and type',
    suits: 'For who picks the ink or the paper before the colour.',
    recipe: ['size', 'type', 'family', 'lightness'],
  },
  {
    id: 'code',
    name: 'By code or name',
    suits: 'For who works from charts and lists.',
    recipe: ['code', 'name'],
  },
  {
    id: 'theme',
    name: 'By season and theme',
    suits: 'For stickers and patterned paper: one knows the occasion first.',
    recipe: ['season', 'theme', 'family', 'lightness'],
  },
  {
    id: 'colour',
    name: 'Colour first, whatever it is',
    suits: 'For who gathers everything green for a project.',
    recipe: ['family', 'kind', 'form', 'lightness'],
  },
  {
    id: 'reach',
    name: 'Most used nearest',
    suits: 'For a seat with little at hand: what is used often comes to the near places.',
    recipe: ['how often used', 'family', 'lightness'],
  },
  {
    id: 'season',
    name: 'In season nearest',
    suits: 'For who swaps with the seasons: what waits for its time goes farther away.',
    recipe: ['in season', 'family', 'lightness'],
  },
];
