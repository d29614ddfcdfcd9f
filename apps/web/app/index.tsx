import { later } from '../src/frame/later';
import { WallScreen } from '../src/wall/WallScreen';

const SlotPanel = later('SlotPanel');
const RoomView = later('RoomView');
const FoundWays = later('FoundWays');
const CarryPanel = later('CarryPanel');

export default function Wall() {
  return <WallScreen panel={SlotPanel} room={RoomView} ways={FoundWays} carry={CarryPanel} />;
}
