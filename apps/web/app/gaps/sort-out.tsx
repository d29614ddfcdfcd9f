import { SortOutScreen } from '../../src/review/sortout/SortOutScreen';

export default function SortOut() {
  return <SortOutScreen />;
}
