import { PackScreen } from '../../src/intake/PackScreen';

export default function Pack() {
  return <PackScreen />;
}
