import { RangesScreen } from '../../src/intake/RangesScreen';

export default function Ranges() {
  return <RangesScreen />;
}
