import { PackScreen } from '../../src/groups/PackScreen';

export default function Pack() {
  return <PackScreen />;
}
