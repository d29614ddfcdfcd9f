/** More than any phone takes, in all and along one side. */
export const MOST_PIXELS = 50e6;
export const MOST_SIDE = 20_000;
