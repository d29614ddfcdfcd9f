import { Slot } from 'expo-router';
import { Frame } from '../src/frame/Frame';

export default function Layout() {
  return (
    <Frame>
      <Slot />
    </Frame>
  );
}
