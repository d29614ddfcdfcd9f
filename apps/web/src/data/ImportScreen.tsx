import { uploadView } from '@red-shelf/contract';
import { router } from 'expo-router';
import { useMutation } from '@tanstack/react-query';
import { startTransition } from 'react';
import { z } from 'zod';
import { uploadList } from '../api/files';
import { useBegun } from '../form/useDraft';
import { many } from '../copy/words';
import { Button } from '../ui/Button';
import { Note } from '../ui/Note';
import { Page } from '../ui/Page';
import { othersFirst } from '../ui/othersFirst';
import { Txt } from '../ui/Txt';
import { chooseFile } from '../ui/files';
import { MappingStep } from './MappingStep';

const DELIMITERS: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};

const chosen = z.object({ name: z.string(), upload: uploadView });

/** Bring in a list: choose a file, say what its columns are, look at what will happen, import. */
export function ImportScreen() {
  const [list, setList, clear] = useBegun('import', chosen);
  const send = useMutation({
    mutationFn: async (file: File) => ({ name: file.name, upload: await uploadList(file) }),
    // Its columns and its rows are much to draw: the page answers meanwhile.
    onSuccess: (found) => startTransition(() => setList(found)),
  });
  const choose = async () => {
    const file = await chooseFile('.csv,.tsv,.txt,text/csv');
    if (file) send.mutate(file);
  };
  return (
    <Page title="Bring in a list">
      {!list && (
        <>
          <Txt>
            A CSV with one supply a row. Name and colour are needed; kind, form, maker, range, code, finish,
            quantity and note are welcome. Nothing is written before you say “import”.
          </Txt>
          <Button label="Choose a CSV" main busy={send.isPending} onPress={() => void choose()} />
        </>
      )}
      {send.error && <Note sort="error">{send.error.message}</Note>}
      {list && (
        <>
          <Txt look="quiet">
            {list.name}: {many(list.upload.rows, 'row')}, parted by{' '}
            {DELIMITERS[list.upload.delimiter] ?? list.upload.delimiter}, {list.upload.encoding}
          </Txt>
          <MappingStep
            key={list.upload.id}
            upload={list.upload}
            onDone={() => {
              router.replace('/stash');
              // The first step is not drawn again for a page that is left.
              void othersFirst().then(clear);
            }}
            onOther={clear}
          />
        </>
      )}
    </Page>
  );
}
