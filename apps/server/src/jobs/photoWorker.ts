import { preparePhoto } from './preparePhoto';

/** Prepares one photo after another away from the process that answers requests; what goes wrong here ends only this one. */
process.on('message', (bytes: Buffer) => {
  void preparePhoto(bytes).then((answer) => process.send?.(answer));
});
// Without the server there is nobody to prepare for.
process.on('disconnect', () => process.exit(0));
