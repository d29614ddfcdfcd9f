import { PaperScreen } from '../src/guide/PaperScreen';

export default function Paper() {
  return <PaperScreen />;
}
