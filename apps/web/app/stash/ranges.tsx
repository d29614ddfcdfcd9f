import { RangesScreen } from '../../src/pile/RangesScreen';

export default function Ranges() {
  return <RangesScreen />;
}
