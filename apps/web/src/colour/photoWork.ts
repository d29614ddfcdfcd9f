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

let worker: Worker | null | undefined;
let next = 0;
const waiting = new Map<number, (answer: PhotoAnswer) => void>();

function startWorker(): Worker | null {
  try {
    const made = new Worker(new URL('./photo.worker', window.location.href));
    made.onmessage = ({ data }: MessageEvent<{ id: number; answer: PhotoAnswer }>) => {
      waiting.get(data.id)?.(data.answer);
      waiting.delete(data.id);
    };
    return made;
  } catch {
    // A browser without workers answers on the screen's own thread.
    return null;
  }
}

/** Asks about a picture, in a worker where there is one. */
export function askPhoto<Q extends PhotoQuestion>(
  question: Q,
): Promise<Extract<PhotoAnswer, { ask: Q['ask'] }>> {
  worker ??= typeof Worker === 'undefined' ? null : startWorker();
  const asked = worker;
  const answer = asked
    ? new Promise<PhotoAnswer>((done) => {
        const id = next++;
        waiting.set(id, done);
        asked.postMessage({ id, question });
      })
    : Promise.resolve(handlePhoto(question));
  return answer as Promise<Extract<PhotoAnswer, { ask: Q['ask'] }>>;
}
