/**
 * The app begins here. What the framework runs before the first screen is run in turn, so that a phone's browser answers and
 * paints in between; all at once it takes a phone half a second.
 */
import '@expo/metro-runtime';

const parts = [
  () => require('react-native').StyleSheet,
  () => require('react-dom/client'),
  () => require('expo'),
  () => require('expo-router/build/ExpoRoot'),
  () => require('expo-router/build/qualified-entry'),
  () => require('expo-router/entry-classic'),
];

function next() {
  parts.shift()();
  if (parts.length > 0) setTimeout(next);
}
setTimeout(next);
