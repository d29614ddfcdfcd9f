import { GapsScreen } from '../../src/gaps/GapsScreen';

export default function Gaps() {
  return <GapsScreen />;
}
