import { SortOutScreen } from '../../src/sortout/SortOutScreen';

export default function SortOut() {
  return <SortOutScreen />;
}
