module.exports = (api) => {
  api.cache(true);
  // Paper's face names every component it has; this asks for those that are used, each at its own place.
  return { presets: ['babel-preset-expo'], plugins: ['react-native-paper/babel'] };
};
