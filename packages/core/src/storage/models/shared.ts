/** What is alike in places that things share: one spot, without cells, called by the unit's letter alone. */
export const SHARED = {
  shares: true,
  cells: (): number => 0,
  order: (): readonly number[] => [],
  address: (label: string): string => label,
} as const;
