import { z } from 'zod';
import { cleanLine, cleanText } from './clean';

const within = (what: string, most: number): string => `${what} may have at most ${most} characters.`;

/** A line somebody said. Every text that is kept comes in by this or `paragraphsOf`, so that it can go out again whole. */
export const lineOf = (what: string, most: number) =>
  z.string().overwrite(cleanLine).max(most, within(what, most));

/** Several lines somebody said. */
export const paragraphsOf = (what: string, most: number) =>
  z.string().overwrite(cleanText).max(most, within(what, most));
