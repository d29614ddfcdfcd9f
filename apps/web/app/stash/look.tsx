import { LookScreen } from '../../src/look/LookScreen';

export default function Look() {
  return <LookScreen />;
}
