import {
  dominantColours,
  lightFrom,
  sampleSpot,
  type Dominant,
  type Light,
  type Picture,
  type Sample,
  type Spot,
  type WhiteRefusal,
} from '@red-shelf/core';
import { workerAsker } from '../api/askWorker';

export type PhotoQuestion =
  | { readonly ask: 'white'; readonly picture: Picture; readonly spot: Spot }
  | { readonly ask: 'swatch'; readonly picture: Picture; readonly spot: Spot; readonly light: Light }
  | { readonly ask: 'colours'; readonly picture: Picture; readonly light: Light };
export type PhotoAnswer =
  | { readonly ask: 'white'; readonly light: { ok: true; light: Light } | { ok: false; code: WhiteRefusal } }
  | { readonly ask: 'swatch'; readonly sample: Sample }
  | { readonly ask: 'colours'; readonly colours: readonly Dominant[] };

/** One question about a picture, answered; the same on either side of the worker. */
export function handlePhoto(question: PhotoQuestion): PhotoAnswer {
  const { picture } = question;
  switch (question.ask) {
    case 'white':
      return { ask: 'white', light: lightFrom(picture, question.spot) };
    case 'swatch':
      return { ask: 'swatch', sample: sampleSpot(picture, question.spot, question.light) };
    case 'colours':
      return { ask: 'colours', colours: dominantColours(picture, question.light) };
  }
}

const ask = workerAsker<PhotoQuestion, PhotoAnswer>(
  () => new Worker(new URL('./photo.worker', window.location.href)),
  handlePhoto,
);

/** Asks about a picture, in a worker where there is one. */
export const askPhoto = <Q extends PhotoQuestion>(
  question: Q,
): Promise<Extract<PhotoAnswer, { ask: Q['ask'] }>> =>
  ask(question) as Promise<Extract<PhotoAnswer, { ask: Q['ask'] }>>;
