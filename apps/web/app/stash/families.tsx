import { FamiliesScreen } from '../../src/families/FamiliesScreen';

export default function Families() {
  return <FamiliesScreen />;
}
