import { envelope } from '../../kinds/definition';
import { run, type UnitTemplate } from './make';

/** What shares a length: rods, gutters, rails, files. */
export const RUNS: readonly UnitTemplate[] = [
  {
    id: 'spool-rod',
    name: 'Spool rod',
    holds: ['ribbon'],
    end: 'bar',
    model: run('rod', envelope(450, 110, 110), { rodMm: 12 }),
  },
  {
    id: 'spool-shelf',
    name: 'Spool shelf',
    holds: ['ribbon'],
    end: 'ring',
    model: run('stand', envelope(600, 100, 60), { lipMm: 20 }),
  },
  {
    id: 'gutter',
    name: 'Gutter',
    holds: ['ribbon', 'marker', 'companion'],
    end: 'ring',
    model: run('stand', envelope(1000, 80, 90), { lipMm: 40 }),
  },
  {
    id: 'bottle-rail',
    name: 'Bottle rail',
    holds: ['ink', 'companion'],
    end: 'cap',
    model: run('rail', envelope(400, 140, 50), { lipMm: 30 }),
  },
  {
    id: 'hook-rail',
    name: 'Hook rail',
    holds: ['ribbon', 'companion'],
    end: 'pocket',
    model: run('hooks', envelope(600, 200, 60)),
  },
  {
    id: 'magazine-file',
    name: 'Magazine file',
    holds: ['cardstock', 'sticker'],
    end: 'edge',
    model: run('file', envelope(100, 320, 320), { lipMm: 120, fingerMm: 10 }),
  },
  {
    id: 'sheet-file',
    name: 'Sheet file',
    holds: ['cardstock', 'sticker'],
    end: 'edge',
    model: run('file', envelope(380, 320, 320), { lipMm: 200, fingerMm: 40 }),
  },
  {
    id: 'side-pocket-file',
    name: 'Magazine file, its side pocket',
    holds: ['sticker', 'cardstock'],
    end: 'edge',
    model: run('file', envelope(30, 240, 220), { lipMm: 120 }),
  },
  {
    id: 'hanging-file',
    name: 'Hanging file',
    holds: ['cardstock', 'sticker'],
    end: 'edge',
    model: run('file', envelope(330, 260, 320), { fingerMm: 50 }),
  },
  {
    id: 'disc-book',
    name: 'Disc book',
    holds: ['sticker', 'cardstock'],
    end: 'edge',
    model: run('file', envelope(45, 300, 240), { fingerMm: 5 }),
  },
  {
    id: 'bits-file',
    name: 'Card file for bits',
    holds: ['sticker', 'companion'],
    end: 'edge',
    model: run('file', envelope(280, 110, 140), { fingerMm: 40 }),
  },
  {
    id: 'book-basket',
    name: 'Book basket',
    holds: ['sticker'],
    end: 'edge',
    model: run('file', envelope(300, 230, 200), { lipMm: 100, fingerMm: 30 }),
  },
];
