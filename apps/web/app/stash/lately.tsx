import { LatelyScreen } from '../../src/stash/LatelyScreen';

export default function Lately() {
  return <LatelyScreen />;
}
