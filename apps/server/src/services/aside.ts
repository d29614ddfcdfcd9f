import type {
  ArrangeAsked,
  ArrangePreview,
  ChangeView,
  ImportChoices,
  ImportCommit,
  ImportPreview,
  KeptView,
  RecordView,
  Strips,
  StripsRequest,
  UploadView,
} from '@red-shelf/contract';
import type { Command } from './command';

/** How far long work has come. */
export interface Progress {
  readonly step: 'reading' | 'checking' | 'writing' | 'photos' | 'arranging';
  readonly done: number;
  readonly total: number;
}
export type Report = (progress: Progress) => void;

interface List<Choices> {
  readonly bytes: Uint8Array;
  readonly choices: Choices;
}

/** An arrangement that was looked at, to be carried out. */
interface Agreed {
  readonly command: Command;
  readonly request: ArrangeAsked;
  readonly token: string;
}

/** Work that takes long, or that reads what nobody here wrote: what is asked, and what is answered. */
export interface Tasks {
  /** Replaces the stash by a document or a backup that lies in a file. */
  readonly restore: { readonly task: { readonly file: string }; readonly answer: ChangeView };
  /** Takes a restore back. */
  readonly undo: {
    readonly task: { readonly id: string; readonly command: Command };
    readonly answer: { change: ChangeView; kept: KeptView };
  };
  /** Writes the whole stash into a file. */
  readonly document: { readonly task: { readonly file: string }; readonly answer: void };
  /** The stash as a file that opens by itself. */
  readonly copy: { readonly task: { readonly file: string }; readonly answer: void };
  /** Removes pictures that nothing speaks of; answers how many files went. */
  readonly sweep: { readonly task: { readonly db: string }; readonly answer: number };
  /** The list of supplies, into a file. */
  readonly csv: { readonly task: { readonly file: string }; readonly answer: void };
  readonly readList: {
    readonly task: { readonly bytes: Uint8Array };
    readonly answer: Omit<UploadView, 'id'>;
  };
  readonly previewList: { readonly task: List<ImportChoices>; readonly answer: ImportPreview };
  /** What arranging would do. */
  readonly arrange: { readonly task: ArrangeAsked; readonly answer: ArrangePreview };
  /** Begins a plan, and writes one down as done; planned once more where nothing comes between. */
  readonly startArrange: {
    readonly task: Agreed;
    readonly answer: { record: RecordView; change: ChangeView };
  };
  readonly applyArrange: { readonly task: Agreed; readonly answer: { change: ChangeView } };
  /** One order at several smoothnesses. */
  readonly strips: { readonly task: StripsRequest; readonly answer: Strips };
  readonly importList: { readonly task: List<ImportCommit>; readonly answer: ChangeView };
}
export type TaskName = keyof Tasks;

/** Does long work, wherever it is done. Throws refusals, and what `signal` was ended with. */
export type Aside = <N extends TaskName>(
  name: N,
  task: Tasks[N]['task'],
  more?: { readonly report?: Report; readonly signal?: AbortSignal | undefined },
) => Promise<Tasks[N]['answer']>;

/** Where long work is done. */
export function asideOf({ aside }: { readonly aside?: Aside }): Aside {
  if (!aside) throw new Error('Nobody does long work here');
  return aside;
}
