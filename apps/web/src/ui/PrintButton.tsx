import { useState } from 'react';
import { Button } from './Button';
import { saveFile } from './files';
import { Note } from './Note';

interface PrintButtonProps {
  readonly label: string;
  /** Name of the file that is saved. */
  readonly name: string;
  readonly make: () => Promise<Blob>;
}

const FAILED =
  'The sheet could not be drawn: the app’s fonts did not come. Try again once Red Shelf answers.';

/** Draws a sheet to print and saves it. */
export function PrintButton({ label, name, make }: PrintButtonProps) {
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  const print = (): void => {
    setBusy(true);
    setFailed(false);
    make()
      .then((file) => saveFile(file, name))
      .catch(() => setFailed(true))
      .finally(() => setBusy(false));
  };
  return (
    <>
      <Button label={label} busy={busy} onPress={print} />
      {failed && <Note sort="error">{FAILED}</Note>}
    </>
  );
}
