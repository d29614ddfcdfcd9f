const Sequencer = require('@jest/test-sequencer').default;

/** Tests that take longest, the longest first. */
const LONGEST = [
  'walkBack',
  'model',
  'planCuts',
  'old',
  'share',
  'lists',
  'storage',
  'foretell',
  'twoWay',
  'harm',
  'planMoves',
];

/** Begins with what takes longest: begun last, it would keep one core waiting for the other. */
module.exports = class LongestFirst extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => {
      const at = LONGEST.findIndex((name) => path.includes(`/${name}.test.`));
      return at < 0 ? LONGEST.length : at;
    };
    return super.sort(tests).sort((a, b) => rank(a) - rank(b));
  }
};
