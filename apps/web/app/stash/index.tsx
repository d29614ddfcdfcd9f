import { later } from '../../src/frame/later';
import { StashScreen } from '../../src/stash/StashScreen';

const SupplyPanel = later('SupplyPanel');
const BatchBar = later('BatchBar');

export default function Stash() {
  return <StashScreen one={SupplyPanel} batch={BatchBar} />;
}
