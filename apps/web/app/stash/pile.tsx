import { PileScreen } from '../../src/intake/PileScreen';

export default function Pile() {
  return <PileScreen />;
}
