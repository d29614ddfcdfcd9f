/** Every colour, size and font of the interface. The screen is neutral so that the stash supplies the colour. */
const light = {
  ground: '#F4F4F2',
  card: '#FFFFFF',
  hairline: '#D9D9D5',
  text: '#1E1F21',
  quiet: '#55585C',
  /** Inside of a rack: mid-grey, so that neither white nor black card vanishes. */
  rack: '#DFDFDC',
  rackWall: '#C6C6C2',
  openSlot: '#8A8B8D',
  /** What a swatch is mounted on: white or mid-grey, since a tinted or a black ground would lie. */
  mount: '#FFFFFF',
  /** The shelf lip and the wordmark, nothing else. */
  lip: '#A3271F',
  action: '#1E1F21',
  onAction: '#FFFFFF',
  attentionGround: '#FCEBC8',
  attention: '#6B4700',
  errorGround: '#F3E4E2',
  shade: 'rgba(30,31,33,0.35)',
};
export type ColourName = keyof typeof light;

/** Neutral greys in both: people judge colour here. */
const dark: Readonly<Record<ColourName, string>> = {
  ground: '#1C1D1E',
  card: '#282929',
  hairline: '#454647',
  text: '#EDEDEB',
  quiet: '#B6B8BA',
  rack: '#626364',
  rackWall: '#474849',
  openSlot: '#B9BABC',
  mount: '#7A7B7B',
  lip: '#DB5B50',
  action: '#EDEDEB',
  onAction: '#1C1D1E',
  attentionGround: '#463810',
  attention: '#F6D283',
  errorGround: '#472B28',
  shade: 'rgba(0,0,0,0.55)',
};

/** The values of every colour, by scheme. */
export const schemes: Readonly<Record<'light' | 'dark', Readonly<Record<ColourName, string>>>> = {
  light,
  dark,
};
export const variable = (name: string): string => `--red-shelf-${name}`;
/** Every colour by name; which value it has follows the scheme that is on. */
export const colour = Object.fromEntries(
  Object.keys(light).map((name) => [name, `var(${variable(name)})`]),
) as Readonly<Record<ColourName, string>>;

export const space = { xs: 4, s: 8, m: 16, l: 24 } as const;
export const radius = { s: 4, m: 8 } as const;
/** Smallest size of anything that is tapped. */
export const TOUCH = 44;
export const LIP = 3;
/** From this width on, the list and the thing stand side by side. */
export const WIDE_FROM = 900;

/** What is read until the app's own fonts are there, and for letters they do not have. */
const ELSE = 'system-ui, sans-serif';
export const font = {
  regular: `AtkinsonHyperlegibleNext_400Regular, ${ELSE}`,
  bold: `AtkinsonHyperlegibleNext_700Bold, ${ELSE}`,
  /** Addresses, codes and marks, like printed label tape. */
  label: `BarlowCondensed_600SemiBold, ${ELSE}`,
} as const;

export const textSize = { small: 13, body: 16, title: 18, page: 22, address: 40 } as const;
