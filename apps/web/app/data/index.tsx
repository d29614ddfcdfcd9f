import { DataScreen } from '../../src/data/DataScreen';

export default function Data() {
  return <DataScreen />;
}
