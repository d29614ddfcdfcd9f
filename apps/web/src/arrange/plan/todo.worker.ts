import { whatToDo, type TodoQuestion } from './todo';

/** Works out what is still to be lifted, away from the screen's thread. */
self.onmessage = ({ data }: MessageEvent<{ id: number; question: TodoQuestion }>) => {
  self.postMessage({ id: data.id, answer: whatToDo(data.question) });
};
