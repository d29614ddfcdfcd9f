import type { Pain } from '@red-shelf/core';

/** Why a place hurts, in words. */
export function sayPain(pain: Pain): string {
  switch (pain.code) {
    case 'over_full':
      return `full: ${pain.have} of ${pain.of}`;
    case 'scattered':
      return `${pain.breaks} out of order`;
    case 'unlabelled':
      return 'no labels';
    case 'labels_old':
      return 'labels out of date';
    case 'unused':
      return `${pain.have} of ${pain.of} idle a year`;
    case 'worn':
      return 'worn';
  }
}
