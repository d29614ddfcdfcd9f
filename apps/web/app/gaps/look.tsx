import { LookScreen } from '../../src/review/look/LookScreen';

export default function Look() {
  return <LookScreen />;
}
