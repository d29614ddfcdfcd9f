import { ImportScreen } from '../../src/data/ImportScreen';

export default function Import() {
  return <ImportScreen />;
}
