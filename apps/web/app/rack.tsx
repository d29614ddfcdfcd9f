import { NewRackScreen } from '../src/wall/NewRackScreen';

export default function NewRack() {
  return <NewRackScreen />;
}
