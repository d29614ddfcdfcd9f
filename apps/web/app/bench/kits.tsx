import { KitsScreen } from '../../src/bench/KitsScreen';

export default function Kits() {
  return <KitsScreen />;
}
