import { StashScreen } from '../../src/stash/StashScreen';
import { SupplyPanel } from '../../src/supply/SupplyPanel';

export default function Stash() {
  return <StashScreen one={SupplyPanel} />;
}
