import { StorageScreen } from '../src/storage/StorageScreen';

export default function Storage() {
  return <StorageScreen />;
}
