import { OwnScreen } from '../../src/own/OwnScreen';

export default function Own() {
  return <OwnScreen />;
}
