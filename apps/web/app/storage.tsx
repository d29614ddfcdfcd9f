import { StorageScreen } from '../src/wall/storage/StorageScreen';

export default function Storage() {
  return <StorageScreen />;
}
