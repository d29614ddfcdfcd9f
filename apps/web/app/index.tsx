import { later } from '../src/frame/later';
import { WallScreen } from '../src/wall/WallScreen';

const SlotPanel = later('SlotPanel');

export default function Wall() {
  return <WallScreen panel={SlotPanel} />;
}
