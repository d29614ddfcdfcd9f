import { PaperScreen } from '../../src/paper/PaperScreen';

export default function Paper() {
  return <PaperScreen />;
}
