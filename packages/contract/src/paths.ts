/** Method and path of one HTTP route. */
export interface RoutePath {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Express path; `:id` is filled by the client. */
  readonly path: string;
}
const at = (method: RoutePath['method'], path: string): RoutePath => ({ method, path });

/** Where every route is; without the schemas, so that a client need not load them to ask. */
export const paths = {
  health: at('GET', '/api/health'),
  listSupplies: at('GET', '/api/supplies'),
  getSupply: at('GET', '/api/supplies/:id'),
  addSupply: at('POST', '/api/supplies'),
  editSupply: at('PUT', '/api/supplies/:id'),
  removeSupply: at('POST', '/api/supplies/:id/remove'),
  actOnSupply: at('POST', '/api/supplies/:id/ledger'),
  placeHolding: at('PUT', '/api/holdings/:id/place'),
  moveHoldings: at('POST', '/api/holdings/moves'),
  sizeHolding: at('PUT', '/api/holdings/:id/size'),
  since: at('GET', '/api/since/:id'),
  addSupplies: at('POST', '/api/supplies/many'),
  batchEdit: at('POST', '/api/supplies/batch'),
  mergeSupplies: at('POST', '/api/supplies/merge'),
  decideSupply: at('POST', '/api/supplies/:id/verdict'),
  listRecords: at('GET', '/api/records'),
  addRecord: at('POST', '/api/records'),
  editRecord: at('PUT', '/api/records/:id'),
  removeRecord: at('POST', '/api/records/:id/remove'),
  journal: at('GET', '/api/changes'),
  gaps: at('GET', '/api/gaps'),
  figures: at('GET', '/api/figures'),
  outNow: at('GET', '/api/bench'),
  colourNames: at('POST', '/api/colour-names'),
  coloursCalled: at('POST', '/api/colour-names/called'),
  readColour: at('POST', '/api/devices/reader'),
  scannables: at('GET', '/api/devices/scanner'),
  getWall: at('GET', '/api/wall'),
  addUnit: at('POST', '/api/units'),
  editUnit: at('PUT', '/api/units/:id'),
  removeUnit: at('POST', '/api/units/:id/remove'),
  previewArrange: at('POST', '/api/arrange/preview'),
  arrangeProgress: at('GET', '/api/arrange/progress/:id'),
  strips: at('POST', '/api/arrange/strips'),
  startArrange: at('POST', '/api/arrange/start'),
  arrangeBack: at('POST', '/api/arrange/back'),
  applyArrange: at('POST', '/api/arrange/apply'),
  undoChange: at('POST', '/api/changes/:id/undo'),
  previewImport: at('POST', '/api/imports/:id/preview'),
  commitImport: at('POST', '/api/imports/:id/commit'),
  importProgress: at('GET', '/api/imports/:id'),
  cancelImport: at('DELETE', '/api/imports/:id'),
  share: at('GET', '/api/share'),
  setPassphrase: at('PUT', '/api/share/passphrase'),
  enter: at('POST', '/api/share/enter'),
  nameDevice: at('PUT', '/api/share/devices/:id'),
  shutOut: at('DELETE', '/api/share/devices/:id'),
} as const;

/** Names a rainbow order, so that a list can say which one it came in. */
export const orderName = (familyOrder: readonly string[], lightness: string): string =>
  `${familyOrder.join(',')} ${lightness}`;
