/** A script that prints a figure which a README, a decision or a note names. */
export interface Measured {
  readonly script: string;
  /** Its arguments for the full figure, and for the least that shows it runs. */
  readonly full: readonly string[];
  readonly small: readonly string[];
  readonly figures: readonly {
    readonly name: string;
    readonly goal: string;
    /** Finds it in what is printed; what is in the group is the figure. */
    readonly prints: RegExp;
    /** The least that shows it runs does not print it. */
    readonly onlyFull?: boolean;
  }[];
}

const of = (script: string, full: string, small: string, ...figures: Measured['figures']): Measured => ({
  script,
  full: full.split(' ').filter(Boolean),
  small: small.split(' ').filter(Boolean),
  figures,
});

export const MEASURED: readonly Measured[] = [
  of(
    'stalls.mts',
    '',
    '200 600 1',
    ...[
      'the first list',
      'the first minute (copy of today, sweep, warming up)',
      'everything since the beginning',
      'a purchase, the list, gaps and figures after it',
      'an arrangement: preview, done at once, taken back',
      'a list of 2,000 rows, brought in',
      'a photo',
      'a backup',
      'a restore, the list and gaps after it, taken back',
    ].map((name) => ({
      name: `longest gap of the event loop: ${name}`,
      goal: 'median 50 ms, never above 200',
      prints: new RegExp(`${name.replace(/[()]/g, '\\$&')}: (median \\d+, longest \\d+)`),
    })),
  ),
  of('load.mts', '', '200 20 2', {
    name: '200 mixed requests a second, 10,000 supplies',
    goal: 'p99 250 ms, slowest 1 s',
    prints: /requests a second for .*: \d+, (p50 .*)/,
  }),
  of('load.mts', '10000 20 30', '200 20 2', {
    name: 'ordinary use: 20 requests a second, 10,000 supplies',
    goal: 'p99 60 ms',
    prints: /requests a second for .*: \d+, (p50 .*)/,
  }),
  of('waiting.mts', '', '300 600', {
    name: 'a purchase during exports and previews, 10,000 supplies and 100,000 events',
    goal: '150 ms',
    prints: /a purchase meanwhile: (.*)/,
  }),
  of('gaps.mts', '1000 100000', '200 500', {
    name: 'gaps after a purchase, 1,000 supplies and 100,000 uses',
    goal: '150 ms',
    prints: /gaps after a purchase: (.*)/,
  }),
  of('gaps.mts', '10000 100000', '200 500', {
    name: 'gaps after a purchase, 10,000 supplies and 100,000 uses',
    goal: '150 ms',
    prints: /gaps after a purchase: (.*)/,
  }),
  of(
    'big-stash.mts',
    '',
    '200',
    {
      name: 'first screen of 10,000 on a phone, nothing cached',
      goal: '1.2 s',
      prints: /first screen, phone, nothing cached: (.*)/,
    },
    {
      name: 'first screen of 10,000 on a phone, opened before',
      goal: '0.4 s',
      prints: /first screen, phone, opened before: (.*)/,
    },
    {
      name: 'search of 10,000 after the last key',
      goal: '100 ms',
      prints: /search after the last key: (.*)/,
    },
  ),
  of(
    'page-tasks.mts',
    '',
    'demo 1',
    { name: 'the page, 4 × slower: longest task of all', goal: '200 ms', prints: /of all, medians, (.*)/ },
    ...[
      'opening the wall',
      'opening the stash',
      'opening Add',
      'opening Do I own it?',
      'opening Arrange',
      'opening the bench',
      'opening Gaps',
      'opening Worth a look',
      'opening Figures',
      'opening Storage',
      'going to the stash',
      'searching “grean card”',
      'typing into Add',
      'a thing opened from the list',
      'dragging from slot to slot',
      'arranging: another kind, begun, three lifts',
      'importing a list of 2,000 rows',
    ].map((name) => ({
      name: `the page, 4 × slower: longest task, ${name}`,
      goal: '200 ms',
      onlyFull: true,
      prints: new RegExp(`${name.replace(/[?]/g, '\\$&')}: (.*)`),
    })),
  ),
  of('second-visit.mts', '', '1', {
    name: 'the first slot of the demo wall',
    goal: '–',
    prints: /(first visit: .*)/,
  }),
  of('room-frames.mts', '', '4', {
    name: 'panning a room of 60 racks, near',
    goal: '–',
    prints: /panning, near: (.*)/,
  }),
  of('arrange-page.mts', '', '200', {
    name: 'longest task on the page, arranging 5,000 things',
    goal: '100 ms',
    prints: /Arrange opened over .*: (.*)/,
  }),
  of(
    'arrange.mts',
    '',
    '',
    {
      name: 'smoothest rainbow of 120, × the Held–Karp bound',
      goal: '–',
      prints: /(?:120|24) colours: (.*?) × the Held/,
    },
    { name: 'ordering and placing grow with the power', goal: '–', prints: /grow with the (.*?) power/ },
  ),
  of('cuts.mts', '', '5', { name: 'a cutting plan of 40 panels', goal: '0.5 s', prints: /^(median .*)/m }),
  of('forecast.mts', '', '', {
    name: 'ranges that hold in four of five cases',
    goal: '80 %',
    prints: /all: (.*)/i,
  }),
  of('tune-family.mts', '', '', {
    name: 'families as people named them',
    goal: '–',
    prints: /all lists, each held out: (.*)/,
  }),
  of('plain-colours.mts', '', '', { name: 'plain words for colours', goal: '–', prints: /^(\d+ words)/m }),
  of('measure.mts', '', '', {
    name: 'what a browser downloads',
    goal: '–',
    prints: /web app, gzipped: (.*)/,
  }),
];

/** Scripts that measure and are left to be run by hand: one installs 120 MB, the other is a test that ends with its own verdict. */
export const BY_HAND = ['lighthouse.mts', 'attack.mts'] as const;
