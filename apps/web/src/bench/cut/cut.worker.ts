import { planned, type CutQuestion } from './cutWork';

/** Plans cuts away from the screen's thread. */
self.onmessage = ({ data }: MessageEvent<{ id: number; question: CutQuestion }>) => {
  self.postMessage({ id: data.id, answer: planned(data.question) });
};
