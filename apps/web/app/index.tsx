import { WallScreen } from '../src/wall/WallScreen';

export default function Wall() {
  return <WallScreen />;
}
