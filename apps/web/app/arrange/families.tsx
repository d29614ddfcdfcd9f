import { FamiliesScreen } from '../../src/arrange/families/FamiliesScreen';

export default function Families() {
  return <FamiliesScreen />;
}
