import { StashScreen } from '../../src/stash/StashScreen';

export default function Stash() {
  return <StashScreen />;
}
