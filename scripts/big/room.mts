import { formOf, formsOfKind, FINISHES, KINDS } from '../../packages/core/src/index.ts';
import { rootUnits, type StashDocument } from '../../packages/contract/src/index.ts';
import { randomStream } from '../../apps/server/src/demo/random.ts';

const MATERIALS = ['satin', 'grosgrain', 'organza', 'velvet'];
const MAKERS = ['Osselwick', 'Hollin & Quay', 'Plimmet Lane', 'Tarnwick Mill'];

const DAY = 86_400_000;

/** A stash of any size, made from a seed: every kind and form, all colours, tags, no racks; with so many uses of it, if any, over two years. */
export function bigRoom(count: number, uses = 0): StashDocument {
  const random = randomStream(99);
  const pick = <T,>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const at = '2026-01-01T00:00:00.000Z';
  const supplies = Array.from({ length: count }, (_, i): StashDocument['supplies'][number] => {
    const kind = pick(KINDS);
    const form = pick(formsOfKind(kind)).id;
    const hex = `#${Math.floor(random() * 0x1000000)
      .toString(16)
      .padStart(6, '0')}`;
    return {
      id: `big-${String(i).padStart(6, '0')}`,
      version: 1,
      kind,
      form,
      name: `Thing ${i}`,
      maker: pick(MAKERS),
      range: `Range ${Math.floor(random() * 40)}`,
      code: String(1000 + i),
      hex,
      finish: random() < 0.8 ? 'matte' : pick(FINISHES),
      familyOverride: null,
      familyReason: '',
      note: random() < 0.2 ? 'bought at the spring fair' : '',
      number: i + 1,
      facts: {
        ...(kind === 'ribbon'
          ? { attributes: { material: pick(MATERIALS), width: 1000 * Math.floor(5 + 40 * random()) } }
          : {}),
        ...(random() < 0.3 ? { tags: [pick(['autumn', 'birthday', 'letters', 'garden'])] } : {}),
      },
      createdAt: at,
      updatedAt: at,
      removedAt: null,
    };
  });
  const holdings = supplies.map(({ id }) => ({
    id: `${id}-whole`,
    version: 1,
    supplyId: id,
    as: 'whole' as const,
    sizeUm: null,
    spot: null,
  }));
  const events = supplies.map(({ id, kind, form }, i) => {
    const { usesPerFill = 1, counting } = formOf(kind, form);
    const left = counting === 'length' ? 5e6 : counting === 'fill' ? usesPerFill : Math.floor(30 * random());
    const items = counting === 'fill' ? 1 : 0;
    return {
      id: `l${i}`,
      supplyId: id,
      at,
      recordedAt: at,
      act: 'count' as const,
      of: 'whole' as const,
      items,
      left,
      postings: [{ holdingId: `${id}-whole`, items, left, how: 'to' as const }],
      shifts: [],
    };
  });
  const from = Date.parse(at);
  const used = Array.from({ length: uses }, (_, i) => {
    // Some things are used far more than others.
    const supply = supplies[Math.floor(count * random() ** 3)]!;
    const { counting } = formOf(supply.kind, supply.form);
    const amount = counting === 'length' ? 10_000 : 1;
    const when = new Date(from + Math.floor((i / uses) * 700) * DAY).toISOString();
    return {
      ...{ id: `u${i}`, supplyId: supply.id, at: when, recordedAt: when },
      ...{ act: 'use' as const, of: 'whole' as const, amount },
      postings: [{ holdingId: `${supply.id}-whole`, items: 0, left: -amount, how: 'by' as const }],
      shifts: [],
    };
  });
  return {
    format: 'red-shelf',
    formatVersion: 4,
    exportedAt: at,
    units: rootUnits('Big room'),
    supplies,
    holdings,
    events: [...events, ...used],
    records: [],
  };
}
