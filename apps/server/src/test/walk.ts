/**
 * Every act a person can do to the stash, one short case each, drawn at random. They stay in one file, past the usual
 * length, so that an act missing from the walks is seen at a glance.
 */
import {
  paths,
  type ArrangePreview,
  type ChangeView,
  type Command,
  type LiftedView,
  type RecordView,
  type SupplyView,
  type UnitView,
} from '@red-shelf/contract';
import { holdsBack, STATUSES } from '@red-shelf/core';
import fc from 'fast-check';
import { listedIn, INK, rackOf, type World } from './world';

/** One thing a person might do; `pick` chooses among what is there, `client` is the window it is done in. */
export interface Step {
  readonly act: (typeof ACTS)[number];
  readonly pick: number;
  readonly client: 0 | 1;
}

const ACTS = [
  'add',
  'add card',
  'edit',
  'grow',
  'remove',
  'place',
  'lift',
  'move several',
  'take in hand',
  'split',
  'use',
  'buy',
  'count',
  'refill',
  'discard',
  'open',
  'cut',
  'size',
  'batch',
  'merge',
  'verdict',
  'record',
  'pack',
  'unit',
  'drawer',
  'edit unit',
  'resize unit',
  'nest',
  'take down',
  'arrange',
  'import',
  'restore',
  'undo',
  'undo',
  'undo',
  'undo',
] as const;

export const steps = (length: number) =>
  fc.array(
    fc.record({
      act: fc.constantFrom(...ACTS),
      pick: fc.nat(100_000),
      client: fc.constantFrom(0 as const, 1 as const),
    }),
    { minLength: length, maxLength: length },
  );

export interface Answer {
  readonly status: number;
  readonly body: {
    readonly change?: Pick<ChangeView, 'id'> & Partial<ChangeView>;
    readonly lifted?: LiftedView;
    readonly title?: string;
  };
}

/** What one window has on its screen: now and then it looks again, else it works on what it saw. */
class Window {
  supplies: SupplyView[] = [];
  units: UnitView[] = [];
  /** Ids of kits and projects. */
  holders: string[] = [];
  constructor(private readonly world: World) {}
  async look(): Promise<void> {
    const { http } = this.world;
    this.supplies = listedIn(await http.get('/api/supplies'));
    this.units = (await http.get('/api/wall')).body.units as UnitView[];
    this.holders = ((await http.get('/api/records')).body.records as RecordView[]).flatMap(({ id, body }) =>
      body.sort === 'group' && holdsBack(body.what) ? [id] : [],
    );
  }
}

const at = <T>(list: readonly T[], pick: number): T | undefined => list[pick % Math.max(1, list.length)];
const seen = ({ id, version }: { id: string; version: number }) => ({ id, version });
const VERDICTS = ['keep', 'use once', 'pass on', 'let go'] as const;
const CARD = {
  ...INK,
  kind: 'cardstock',
  form: 'sheet-12',
  parts: { pack: 2 },
  count: { items: 12, left: 12 },
};
const BOX = { model: 'loose', widthUm: 320_000, heightUm: 120_000, depthUm: 320_000, fillPercent: 60 };

/** A request as the command it is. */
function asCommand(method: string, path: string, id: string, body: object): Command {
  for (const [route, { method: verb, path: form }] of Object.entries(paths)) {
    const pattern = new RegExp(`^${form.replace(':id', '([^/]+)')}$`);
    const found = verb.toLowerCase() === method ? pattern.exec(path) : null;
    if (found)
      return {
        route: route as Command['route'],
        of: found[1] ?? '',
        body,
        id,
        at: '2026-05-31T10:00:00.000Z',
      };
  }
  throw new Error(`No route is ${method} ${path}`);
}

/** Walks a stash through commands; remembers every change it made, so that any of them can be undone at any time. */
export class Walk {
  readonly changes: string[] = [];
  private readonly windows: readonly [Window, Window];
  private sent = 0;
  constructor(
    readonly world: World,
    /** Told of every command before it is sent; what it answers is told how that went. */
    private readonly watch?: (command: Command) => Promise<(answer: Answer) => Promise<void>>,
  ) {
    this.windows = [new Window(world), new Window(world)];
  }

  async step({ act, pick, client }: Step): Promise<Answer> {
    const window = this.windows[client];
    if (pick % 3 !== 0 || window.supplies.length === 0) await window.look();
    const answer = await this.perform(window, act, Math.floor(pick / 3));
    const id = answer.body.change?.id;
    if (id && !this.changes.includes(id)) this.changes.push(id);
    return answer;
  }

  /** Sends a command; one in eight is sent twice, as after a lost answer, and must answer the same. */
  private async send(method: 'post' | 'put', path: string, body: object): Promise<Answer> {
    const id = `command-${String(this.sent++).padStart(6, '0')}`;
    const once = () => this.world.http[method](path).set('Command-Id', id).send(body);
    const told = await this.watch?.(asCommand(method, path, id, body));
    const first = (await once()) as Answer;
    await told?.(first);
    if (first.status !== 200 || this.sent % 8 !== 0) return first;
    const again = (await once()) as Answer;
    if (JSON.stringify(again.body) !== JSON.stringify(first.body))
      throw new Error(`${path} answered twice, differently`);
    return first;
  }

  private async perform(
    { supplies, units, holders }: Window,
    act: Step['act'],
    pick: number,
  ): Promise<Answer> {
    const nothing: Answer = { status: 204, body: {} };
    const supply = at(supplies, pick);
    const unit = at(units, pick >> 2);
    const cards = supplies.filter(({ kind }) => kind === 'cardstock');
    const card = at(cards, pick);
    const lot = supply && at(supply.holdings, pick >> 3);
    const post = (path: string, body: object) => this.send('post', path, body);
    const put = (path: string, body: object) => this.send('put', path, body);
    const place = unit && {
      unitId: unit.id,
      cell:
        unit.model?.model === 'grid'
          ? pick % (unit.model.columnsUm.length * unit.model.rowsUm.length + 1)
          : null,
      // Where things share it, before one that may be there.
      ...(pick % 3 > 0 ? { before: at(supplies, pick >> 2)?.holdings[0]?.id } : {}),
    };
    switch (act) {
      case 'add':
        return post('/api/supplies', { ...INK, name: `Ink ${pick}`, count: { items: 2, left: 90 } });
      case 'add card':
        return post('/api/supplies', { ...CARD, name: `Card ${pick}` });
      case 'record':
        return post('/api/records', { body: recordFor(pick, supply, unit) });
      case 'pack':
        return post('/api/supplies/many', {
          supplies: [1, 2].map((n) => ({ ...INK, name: `Lot ${pick} ${n}` })),
          pack: { sort: 'group', what: 'pack', name: `Pack ${pick}` },
        });
      case 'unit':
        return post('/api/units', rackOf(1 + (pick % 2), 2, pick % 5 === 0 ? { label: 'B' } : {}));
      case 'drawer':
        return post('/api/units', { name: 'Drawer', model: BOX, rules: { kinds: ['ink', 'cardstock'] } });
      case 'import':
        return this.importList(pick);
      case 'restore': {
        const document = (await this.world.http.get('/api/export.json')).body as object;
        return await this.world.http.post('/api/restore').send(document);
      }
      case 'undo': {
        const id = at(this.changes, pick);
        return id ? post(`/api/changes/${id}/undo`, {}) : nothing;
      }
      case 'batch':
        return post('/api/supplies/batch', {
          supplies: supplies.slice(0, 1 + (pick % 4)).map(seen),
          ...(pick % 5 === 0
            ? { remove: true }
            : {
                set: {
                  addTags: [`t${pick % 7}`],
                  lift: pick % 3 === 0,
                  ...(pick % 4 === 1
                    ? { status: STATUSES[pick % STATUSES.length], decideOn: '2027-01-01' }
                    : {}),
                },
              }),
        });
      default:
        break;
    }
    if (unit)
      switch (act) {
        case 'edit unit':
          return put(`/api/units/${unit.id}`, { ...unit, ...changedUnit(pick, unit, units) });
        case 'resize unit':
          return put(`/api/units/${unit.id}`, { ...unit, model: resized(pick, unit) });
        case 'nest':
          return put(`/api/units/${unit.id}`, { ...unit, parentId: at(units, pick)?.id ?? 'room' });
        case 'take down':
          return post(`/api/units/${unit.id}/remove`, { version: unit.version });
        case 'arrange':
          return this.arrange(unit, pick);
        default:
          break;
      }
    if (card)
      switch (act) {
        case 'open':
          return post(`/api/supplies/${card.id}/ledger`, { act, amount: 1, left: 10 });
        case 'cut':
          return post(`/api/supplies/${card.id}/ledger`, {
            act,
            amount: 1 + (pick % 4),
            items: pick % 3,
            left: pick % 5,
            scrapSize: { widthUm: 40_000 + (pick % 3) * 60_000, heightUm: 90_000 },
          });
        case 'size': {
          const scrap = card.holdings.find(({ as }) => as === 'scrap');
          const sizeUm = pick % 4 === 0 ? null : { widthUm: 20_000 + (pick % 5) * 90_000, heightUm: 50_000 };
          return scrap ? put(`/api/holdings/${scrap.id}/size`, { version: scrap.version, sizeUm }) : nothing;
        }
        default:
          break;
      }
    if (!supply || !lot) return nothing;
    const ledger = (body: object) => post(`/api/supplies/${supply.id}/ledger`, body);
    switch (act) {
      case 'edit':
        return put(`/api/supplies/${supply.id}`, {
          ...supply,
          name: `Edited ${pick}`,
          facts: {
            ...supply.facts,
            status: STATUSES[pick % 9],
          },
        });
      case 'grow': {
        const size = { widthUm: 60_000 + (pick % 4) * 20_000, heightUm: 20_000, depthUm: 66_000 };
        return put(`/api/supplies/${supply.id}`, {
          ...supply,
          facts: { ...supply.facts, size, usesPerFill: 40 + (pick % 60) },
        });
      }
      case 'remove':
        return post(`/api/supplies/${supply.id}/remove`, { version: supply.version });
      case 'place':
        return place ? put(`/api/holdings/${lot.id}/place`, { version: lot.version, place }) : nothing;
      case 'split':
        return place
          ? put(`/api/holdings/${lot.id}/place`, { version: lot.version, place, amount: 1 + (pick % 3) })
          : nothing;
      case 'move several': {
        const others = supplies.flatMap(({ holdings }) => holdings).filter(({ id }) => id !== lot.id);
        const other = at(others, pick >> 2);
        if (!other) return nothing;
        const to = ({ spot }: typeof lot) => spot && { unitId: spot.unitId, cell: spot.cell };
        return post('/api/holdings/moves', {
          moves: [
            { ...seen(lot), place: to(other) },
            { ...seen(other), place: pick % 3 ? to(lot) : null },
          ],
        });
      }
      case 'lift':
        return put(`/api/holdings/${lot.id}/place`, { version: lot.version, place: null });
      case 'take in hand':
        return put(`/api/holdings/${lot.id}/place`, {
          version: lot.version,
          place: { unitId: 'hand', cell: null },
        });
      case 'use':
      case 'buy':
      case 'discard':
        return ledger({
          act,
          amount: 1 + (pick % 9),
          ...(pick % 4 === 0 ? { lotId: lot.id } : {}),
          ...(act === 'use' && pick % 3 === 0 ? { heldFor: at(holders, pick) } : {}),
        });
      case 'count':
        return ledger({
          act,
          items: 1 + (pick % 3),
          left: pick % 60,
          ...(pick % 2 ? { lotId: lot.id, version: lot.version } : {}),
        });
      case 'refill': {
        const from = at(supplies, pick + 1);
        const weights = { beforeMg: 9000, afterMg: 9000 + (pick % 3000) };
        return ledger({
          act,
          ...(from && pick % 2 ? { fromId: from.id } : {}),
          ...(pick % 3 ? { weights } : {}),
        });
      }
      case 'merge': {
        const other = at(supplies, pick + 1);
        return other ? post('/api/supplies/merge', { keep: seen(supply), other: seen(other) }) : nothing;
      }
      case 'verdict':
        return post(`/api/supplies/${supply.id}/verdict`, {
          version: supply.version,
          verdict: VERDICTS[pick % 4],
        });
      default:
        return nothing;
    }
  }

  private async arrange(unit: UnitView, pick: number): Promise<Answer> {
    const request = { kinds: ['ink', 'cardstock'], unitIds: [unit.id], fromElsewhere: pick % 2 === 0 };
    const preview = (await this.world.http.post('/api/arrange/preview').send(request)) as Answer;
    if (preview.status !== 200) return preview;
    const { token } = preview.body as unknown as ArrangePreview;
    return this.send('post', '/api/arrange/apply', { ...request, token });
  }

  private async importList(pick: number): Promise<Answer> {
    const { http } = this.world;
    const hex = `#${pick.toString(16).padStart(6, '0')}`;
    const csv = `Name,Colour,Maker,Quantity\nFern Gate,${hex},Hollin & Quay,2\nNew ${pick},#333,,1\n`;
    const list = (await http.post('/api/imports').set('Content-Type', 'application/octet-stream').send(csv))
      .body;
    const choices = { mapping: list.mapping, defaults: { kind: 'ink' } };
    const { token } = (await http.post(`/api/imports/${list.id}/preview`).send(choices)).body;
    const commit = { ...choices, token, leaveOutRefused: true };
    await http.post(`/api/imports/${list.id}/commit`).send(commit);
    for (;;) {
      const { body } = await http.get(`/api/imports/${list.id}`);
      if (body.state === 'running') continue;
      if (body.state === 'failed') throw new Error(`The import failed: ${body.reason}`);
      return { status: 200, body: { ...(body.changeId ? { change: { id: body.changeId as string } } : {}) } };
    }
  }
}

function changedUnit(pick: number, unit: UnitView, units: readonly UnitView[]): object {
  switch (pick % 6) {
    case 0:
      return { facts: { ...unit.facts, standing: 'spare' } };
    case 1:
      return { facts: { ...unit.facts, standing: 'active' }, label: pick % 4 === 0 ? 'B' : unit.label };
    case 2:
      return { rules: { ...unit.rules, kinds: pick % 4 === 0 ? ['cardstock'] : ['ink', 'cardstock'] } };
    case 3:
      return { rules: { ...unit.rules, cap: 1 + (pick % 3) } };
    case 4:
      return { after: units.find(({ id }) => id !== unit.id)?.id ?? null };
    default:
      return { name: `Unit ${pick}` };
  }
}

function resized(pick: number, { model }: UnitView): object {
  if (model?.model !== 'grid') return { ...BOX, heightUm: 40_000 + (pick % 4) * 40_000 };
  return {
    ...model,
    rowsUm: [22_000, 15_000 + (pick % 3) * 100_000].slice(0, 1 + (pick % 2)),
    columnsUm: [102_000, 90_000 + (pick % 2) * 12_000],
    depthUm: 70_000 + (pick % 2) * 300_000,
  };
}

function recordFor(pick: number, supply: SupplyView | undefined, unit: UnitView | undefined): object {
  const members = supply ? [{ supplyId: supply.id, amount: 1 }] : [];
  if (pick % 3 === 0)
    return {
      sort: 'preferences',
      familyOrder: [],
      lightness: 'dark-first',
      units: 'metric',
      currency: 'EUR',
    };
  const home =
    pick % 3 === 1 && unit ? { what: 'palette', home: unit.id } : { what: pick % 2 ? 'kit' : 'project' };
  return { sort: 'group', name: `Group ${pick}`, members, ...home };
}
