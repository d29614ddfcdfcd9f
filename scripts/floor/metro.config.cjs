module.exports = require('../../apps/web/bundling.cjs')(__dirname);
