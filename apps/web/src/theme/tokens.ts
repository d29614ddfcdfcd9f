/** Every colour, size and font of the interface. The screen is neutral so that the stash supplies the colour. */
export const colour = {
  ground: '#F4F4F2',
  card: '#FFFFFF',
  hairline: '#D9D9D5',
  text: '#1E1F21',
  quiet: '#55585C',
  /** Inside of a rack: mid-grey, so that neither white nor black card vanishes. */
  rack: '#DFDFDC',
  rackWall: '#C6C6C2',
  openSlot: '#8A8B8D',
  /** The shelf lip and the wordmark, nothing else. */
  lip: '#A3271F',
  action: '#1E1F21',
  onAction: '#FFFFFF',
  attentionGround: '#FCEBC8',
  attention: '#6B4700',
  errorGround: '#F3E4E2',
  shade: 'rgba(30,31,33,0.35)',
} as const;

export const space = { xs: 4, s: 8, m: 16, l: 24 } as const;
export const radius = { s: 4, m: 8 } as const;
/** Smallest size of anything that is tapped. */
export const TOUCH = 44;
export const LIP = 3;
/** From this width on, the list and the thing stand side by side. */
export const WIDE_FROM = 900;

export const font = {
  regular: 'AtkinsonHyperlegibleNext_400Regular',
  bold: 'AtkinsonHyperlegibleNext_700Bold',
  /** Addresses, codes and marks, like printed label tape. */
  label: 'BarlowCondensed_600SemiBold',
} as const;

export const textSize = { small: 13, body: 16, title: 18, page: 22, address: 40 } as const;
