import { NewRackScreen } from '../src/wall/unit/NewRackScreen';

export default function NewRack() {
  return <NewRackScreen />;
}
