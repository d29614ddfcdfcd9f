import { LatelyScreen } from '../src/review/LatelyScreen';

export default function Lately() {
  return <LatelyScreen />;
}
