import { PileScreen } from '../../src/pile/PileScreen';

export default function Pile() {
  return <PileScreen />;
}
