import type { Finish, Kind } from '@red-shelf/core';

/** One pile of the demo stash. Makers and ranges are invented. */
export interface Pile {
  readonly kind: Kind;
  readonly form: string;
  readonly maker: string;
  readonly range: string;
  readonly count: number;
  readonly finish: Finish;
  /** Shifts colours and names, so that piles differ. */
  readonly shift: number;
  readonly firstCode: number;
  readonly note?: string;
}

export const PILES: readonly Pile[] = [
  {
    kind: 'ink',
    form: 'full-pad',
    maker: 'Hollin & Quay',
    range: 'Towpath',
    count: 46,
    finish: 'matte',
    shift: 0,
    firstCode: 401,
  },
  {
    kind: 'ink',
    form: 'full-pad',
    maker: 'Hollin & Quay',
    range: 'Brasswork',
    count: 3,
    finish: 'metallic',
    shift: 5,
    firstCode: 491,
  },
  {
    kind: 'ink',
    form: 'mini-pad',
    maker: 'Plimmet Lane',
    range: 'Thimblefuls',
    count: 6,
    finish: 'matte',
    shift: 3,
    firstCode: 11,
  },
  {
    kind: 'marker',
    form: 'alcohol-dual',
    maker: 'Osselwick',
    range: 'Twinnet',
    count: 72,
    finish: 'matte',
    shift: 1,
    firstCode: 1,
  },
  {
    kind: 'cardstock',
    form: 'sheet-12',
    maker: 'Tarnwick Mill',
    range: 'Plainweave',
    count: 34,
    finish: 'matte',
    shift: 0,
    firstCode: 1200,
  },
  {
    kind: 'cardstock',
    form: 'sheet-12',
    maker: 'Tarnwick Mill',
    range: 'Frostlight',
    count: 3,
    finish: 'glitter',
    shift: 4,
    firstCode: 1290,
    note: 'Keep away from vellum: it scratches.',
  },
  {
    kind: 'ribbon',
    form: 'spool',
    maker: 'Brindlebobbin',
    range: 'Satinet',
    count: 27,
    finish: 'shimmer',
    shift: 2,
    firstCode: 60,
  },
  {
    kind: 'sticker',
    form: 'sheet',
    maker: 'Plimmet Lane',
    range: 'Almanack',
    count: 21,
    finish: 'matte',
    shift: 6,
    firstCode: 700,
  },
];
