import { PhoneScreen } from '../../src/share/PhoneScreen';

export default function Phone() {
  return <PhoneScreen />;
}
