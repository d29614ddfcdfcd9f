module.exports = require('./bundling.cjs')(__dirname);
