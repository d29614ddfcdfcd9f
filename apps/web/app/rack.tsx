import { NewRackScreen } from '../src/unit/NewRackScreen';

export default function NewRack() {
  return <NewRackScreen />;
}
