import { handlePhoto, type PhotoQuestion } from './photoWork';

/** Judges pictures away from the screen's thread. */
self.onmessage = ({ data }: MessageEvent<{ id: number; question: PhotoQuestion }>) => {
  self.postMessage({ id: data.id, answer: handlePhoto(data.question) });
};
