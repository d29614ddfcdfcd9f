/**
 * A Babel plugin: what is imported from the face of a package is imported from the file it stands in, so that a
 * screen brings along what it uses and not all there is. Faces are lists of `export { … } from './file'`.
 */
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const path = require('node:path');
const { parse } = require('@babel/parser');

const FACES = {
  '@red-shelf/core': path.resolve(__dirname, '../../packages/core/src/index.ts'),
  '@red-shelf/contract': path.resolve(__dirname, '../../packages/contract/src/index.ts'),
  'culori/fn': require.resolve('culori/fn'),
};

/** Where each name of a face comes from, and what it is called there. */
function readFace(face) {
  const { program } = parse(readFileSync(face, 'utf8'), { sourceType: 'module', plugins: ['typescript'] });
  const homes = new Map();
  for (const node of program.body) {
    if (node.type !== 'ExportNamedDeclaration' || !node.source)
      throw new Error(`${face}: a face only lists what other files export.`);
    const file = path.resolve(path.dirname(face), node.source.value);
    for (const { local, exported } of node.specifiers) homes.set(exported.name, { file, name: local.name });
  }
  return homes;
}
const faces = new Map(Object.entries(FACES).map(([name, face]) => [name, readFace(face)]));

/** A path as an import writes it; relative, since what is translated is kept for every checkout of the machine. */
const from = (importer, file) => {
  const way = path.relative(path.dirname(importer), file).split(path.sep).join('/');
  return way.startsWith('.') ? way : `./${way}`;
};

const isType = (node, specifier) => node.importKind === 'type' || specifier.importKind === 'type';

module.exports = ({ types: t }) => ({
  name: 'faces',
  visitor: {
    ImportDeclaration(found, { filename }) {
      const { node } = found;
      const homes = faces.get(node.source.value);
      if (!homes) return;
      const values = node.specifiers.filter((each) => !isType(node, each));
      if (values.some((each) => each.type !== 'ImportSpecifier'))
        throw found.buildCodeFrameError('Import by name, so that only what is used is brought along.');
      found.replaceWithMultiple(
        values.map((each) => {
          const home = homes.get(each.imported.name);
          if (!home)
            throw found.buildCodeFrameError(`${node.source.value} exports no ${each.imported.name}.`);
          return t.importDeclaration(
            [t.importSpecifier(each.local, t.identifier(home.name))],
            t.stringLiteral(from(filename, home.file)),
          );
        }),
      );
    },
  },
});
/** A digest that changes with what this file or a face says: what was translated under another one is stale. */
module.exports.EDITION = [__filename, ...Object.values(FACES)]
  .reduce((hash, file) => hash.update(readFileSync(file)), createHash('sha256'))
  .digest('hex');
