/**
 * What of the framework the app never draws and a phone would fetch and run all the same: the router names every way to
 * navigate it has, and the app has one, a slot. Where the framework's files move, a line here finds nothing and the app
 * comes as heavy as it would without it.
 */
const path = require('node:path');

const EMPTY = { type: 'empty' };
const noStack = path.resolve(__dirname, 'src/frame/noStack.js');
const ROUTER = 'expo-router/build/';

/** In a file, by the end of its path: what it asks for, and what it gets. */
const OF_THE_ROUTER = [
  // Flags for phones' own screens; asking by the package's name runs all of it (100 ms of a phone).
  ['screensFeatureFlags.js', 'react-native-screens', 'react-native-screens/lib/module/flags.js'],
  ['exports.js', './layouts/Tabs', EMPTY],
  ['exports.js', './layouts/experimental-stack', EMPTY],
  ['exports.js', './standard-navigation', EMPTY],
  ['exports.js', './primitives', EMPTY],
  ['index.js', './stack', EMPTY],
  ['index.js', './color', EMPTY],
  // The slot asks for the stack's router, and with it comes what draws a stack.
  ['layouts/StackClient.js', '../fork/native-stack/createNativeStackNavigator', noStack],
  ['layouts/StackClient.js', './stack-utils', noStack],
  ['layouts/withLayoutContext.js', '../native-tabs/NativeTabTrigger', noStack],
  // An error's page asks whether it stands in a bar of tabs.
  ...['views/Toast.js', 'views/ErrorBoundary.js'].map((file) => [
    file,
    '../react-navigation/bottom-tabs',
    '../react-navigation/bottom-tabs/utils/BottomTabBarHeightContext',
  ]),
];
const WEB = 'react-native-web/dist/';
const PAPER = 'react-native-paper/lib/module/styles/themes/';

const LEFT_OUT = [
  ...OF_THE_ROUTER.map(([file, ...rest]) => [ROUTER + file, ...rest]),
  // The app has one kind of long list, of its own; these are half of what is run to move anything.
  ...['FlatList', 'SectionList'].flatMap((list) => [
    [`${WEB}index.js`, `./exports/${list}`, EMPTY],
    [`${WEB}vendor/react-native/Animated/Animated.js`, `./components/Animated${list}`, EMPTY],
  ]),
  [`${WEB}index.js`, './exports/VirtualizedList', EMPTY],
  // The themes of Paper's last version.
  [`${PAPER}index.js`, './v2/LightTheme', EMPTY],
  [`${PAPER}index.js`, './v2/DarkTheme', EMPTY],
];

/** What stands in for a module where it is asked for: a name, a file, nothing at all, or undefined for itself. */
function insteadOf(origin, name) {
  const file = origin.split(path.sep).join('/');
  const [, , instead] = LEFT_OUT.find(([asks, asked]) => asked === name && file.endsWith(asks)) ?? [];
  return instead;
}

module.exports = { insteadOf, LEFT_OUT };
