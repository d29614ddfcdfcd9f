import { KitsScreen } from '../../src/groups/KitsScreen';

export default function Kits() {
  return <KitsScreen />;
}
