/** What an act does to lots. Just past the usual length, since the acts of one plan share its ways of taking and giving. */
import type { FormDefinition, LotAs } from '../kinds/definition';
import { mainLot, type FlatSize, type Holding } from '../stash/holding';
import type { CutPiece, Happening, Posting, Price, Weights } from './event';
import type { CountRule } from './fold';
import { oneEach, sameSize } from './pieces';

/** A thing a person wants to write into the ledger. `lotId` names one lot; else `of` says which sort of lot is meant. */
export type StockRequest = {
  readonly of?: LotAs | undefined;
  readonly lotId?: string | undefined;
  /** Of bases or scraps: how large they are. */
  readonly sizeUm?: FlatSize | undefined;
} & (
  | { readonly act: 'use'; readonly amount: number; readonly project?: string | undefined }
  | { readonly act: 'discard'; readonly amount: number }
  | { readonly act: 'buy'; readonly amount: number; readonly price?: Price | undefined }
  | { readonly act: 'count'; readonly items: number; readonly left: number }
  /** `gives`: what goes in, in uses; filled up when left out. */
  | {
      readonly act: 'refill';
      readonly gives?: number | undefined;
      readonly from?: RefillFrom | undefined;
      readonly weights?: Weights | undefined;
    }
  /** Packs opened, and the sheets that were in them. */
  | { readonly act: 'open'; readonly amount: number; readonly left: number }
  /** Sheets cut into bases, and the scraps that remain. */
  | {
      readonly act: 'cut';
      readonly amount: number;
      readonly items: number;
      readonly left: number;
      readonly baseSize?: FlatSize | undefined;
      readonly scrapSize?: FlatSize | undefined;
      /** Of several sizes; then `items` and `left` are counted from these. */
      readonly pieces?: readonly CutPiece[] | undefined;
      readonly project?: string | undefined;
    }
);

/** The bottle a refill comes from: its lots, and how much it gives, in its own uses. */
export interface RefillFrom {
  readonly supplyId: string;
  readonly amount: number;
  readonly lots: readonly Lot[];
}

/** Why it cannot be written, in measured values. */
export interface StockRefusal {
  readonly code:
    | 'more_than_left'
    | 'nothing_to_refill'
    | 'not_refillable'
    | 'left_exceeds_items'
    | 'too_many'
    | 'no_such_part'
    | 'no_such_lot'
    | 'bottle_empty';
  readonly need: number;
  readonly have: number;
}

type Lot = Pick<Holding, 'id' | 'as' | 'items' | 'left' | 'sizeUm'>;
/** A lot that has to be made for a request. */
export interface NewLot {
  readonly id: string;
  readonly as: LotAs;
  readonly sizeUm: FlatSize | null;
}
export interface Posted {
  readonly happening: Exclude<Happening, { act: 'undo' | 'move' }>;
  readonly postings: readonly Posting[];
  readonly made: readonly NewLot[];
}

/** More than this of anything is a slip of the finger: a million sheets, or a thousand kilometres. */
const TOO_MANY = { fill: 100_000, sheets: 1_000_000, pieces: 1_000_000, length: 1e12 } as const;

const refuse = (code: StockRefusal['code'], need = 0, have = 0): StockRefusal => ({ code, need, have });

/** Plans what a request does to a supply's lots. Writes nothing. */
export function planPosting(
  request: StockRequest,
  lots: readonly Lot[],
  form: Pick<FormDefinition, 'counting' | 'parts'>,
  rule: CountRule,
  newId: () => string,
): Posted | StockRefusal {
  const plan = new Plan(lots, form, rule, newId);
  const most = TOO_MANY[form.counting];
  const numbers = [
    'amount' in request ? request.amount : 0,
    'items' in request ? request.items : 0,
    'left' in request ? request.left : 0,
  ];
  if (Math.max(...numbers) > most) return refuse('too_many', Math.max(...numbers), most);
  if (request.lotId !== undefined && !lots.some(({ id }) => id === request.lotId))
    return refuse('no_such_lot');
  switch (request.act) {
    case 'use':
      return plan.use(request, request.amount, request.project);
    case 'discard':
      return plan.take(request, request.amount, 'discard');
    case 'buy':
      return plan.buy(request, request.amount, request.price);
    case 'count':
      return plan.count(request, request.items, request.left);
    case 'refill':
      return plan.refill(request);
    case 'open':
      return plan.open(request.amount, request.left);
    case 'cut':
      return plan.cut(request);
  }
}

type Which = Pick<StockRequest, 'of' | 'lotId' | 'sizeUm'>;

class Plan {
  private readonly made: NewLot[] = [];
  constructor(
    private readonly lots: readonly Lot[],
    private readonly form: Pick<FormDefinition, 'counting' | 'parts'>,
    private readonly rule: CountRule,
    private readonly newId: () => string,
  ) {}

  private asOf({ of, lotId }: Which): LotAs {
    return this.lots.find(({ id }) => id === lotId)?.as ?? of ?? 'whole';
  }

  private keeps(as: LotAs): boolean {
    return as === 'whole' || this.form.parts?.includes(as) === true;
  }

  /** Lots a request may take from, the named one or the main one first. */
  private sources(which: Which): readonly Lot[] {
    const as = this.asOf(which);
    const all = this.lots.filter((lot) => lot.as === as);
    if (which.lotId !== undefined) return all.filter(({ id }) => id === which.lotId);
    const sized = which.sizeUm;
    if (sized) return all.filter((lot) => sameSize(lot.sizeUm, sized));
    const main = as === 'whole' ? mainLot(all) : undefined;
    return main ? [main, ...all.filter((lot) => lot !== main)] : all;
  }

  /** The one lot that gains: the named one, the main one, the one of that size, or a new one. */
  private gainer(which: Which): Lot {
    const as = this.asOf(which);
    const sizeUm = which.sizeUm ?? null;
    const found =
      which.lotId !== undefined || as === 'whole'
        ? this.sources({ ...which, sizeUm: undefined })[0]
        : this.lots.find((lot) => lot.as === as && sameSize(lot.sizeUm, sizeUm));
    if (found) return found;
    const lot: NewLot = { id: this.newId(), as, sizeUm };
    this.made.push(lot);
    return { ...lot, items: 0, left: 0 };
  }

  private done(happening: Posted['happening'], postings: readonly Posting[]): Posted {
    return { happening, postings, made: this.made };
  }

  /** Takes an amount out of lots one after another. Pads and markers may be used past empty. */
  take(which: Which, amount: number, act: 'use' | 'discard'): Posted | StockRefusal {
    const of = this.asOf(which);
    if (!this.keeps(of)) return refuse('no_such_part');
    const sources = this.sources(which);
    const fill = of === 'whole' && this.form.counting === 'fill';
    const key = of !== 'whole' || (fill && act === 'discard') ? 'items' : 'left';
    const have = sources.reduce((sum, lot) => sum + lot[key], 0);
    const pastEmpty = fill && act === 'use';
    if (amount > have && !pastEmpty) return refuse('more_than_left', amount, have);
    let waiting = amount;
    const postings = sources.flatMap((lot, i): Posting[] => {
      const last = pastEmpty && i === sources.length - 1;
      const taken = last ? waiting : Math.min(waiting, lot[key]);
      waiting -= taken;
      return taken === 0 ? [] : [by(lot.id, key === 'items' ? -taken : 0, key === 'left' ? -taken : 0)];
    });
    return this.done({ act, of, amount }, postings);
  }

  use(which: Which, amount: number, project: string | undefined): Posted | StockRefusal {
    const taken = this.take(which, amount, 'use');
    if ('code' in taken || project === undefined) return taken;
    return { ...taken, happening: { act: 'use', of: this.asOf(which), amount, project } };
  }

  buy(which: Which, amount: number, price: Price | undefined): Posted | StockRefusal {
    const of = this.asOf(which);
    if (!this.keeps(of)) return refuse('no_such_part');
    const { id } = this.gainer(which);
    const fill = of === 'whole' && this.form.counting === 'fill';
    const posting: Posting = fill
      ? { holdingId: id, items: amount, left: 0, how: 'full' }
      : by(id, of === 'whole' ? 0 : amount, of === 'whole' ? amount : 0);
    return this.done({ act: 'buy', of, amount, ...(price ? { price } : {}) }, [posting]);
  }

  /** A count of one lot. Without a lot named, what other lots of its sort hold is taken off the whole that was counted. */
  count(which: Which, items: number, left: number): Posted | StockRefusal {
    const of = this.asOf(which);
    if (!this.keeps(of)) return refuse('no_such_part');
    const { counting } = this.form;
    if (of === 'whole' && counting === 'fill' && left > items * this.rule.usesPerFill)
      return refuse('left_exceeds_items', left, items * this.rule.usesPerFill);
    const lot = this.gainer(which);
    const found =
      of !== 'whole' ? { items: left, left: 0 } : counting === 'fill' ? { items, left } : { items: 0, left };
    const postings: Posting[] = [{ holdingId: lot.id, ...found, how: 'to' }];
    // A count that names no lot is of everything there is: the others of its sort are none.
    if (which.lotId === undefined && which.sizeUm === undefined)
      for (const other of this.lots)
        if (other.as === of && other.id !== lot.id && (other.items > 0 || other.left > 0))
          postings.push({ holdingId: other.id, items: 0, left: 0, how: 'to' });
    return this.done({ act: 'count', of, items, left }, postings);
  }

  refill({
    from,
    weights,
    gives,
    ...which
  }: Extract<StockRequest, { act: 'refill' }>): Posted | StockRefusal {
    if (this.form.counting !== 'fill') return refuse('not_refillable');
    const [lot] = this.sources({ ...which, of: 'whole' });
    if (!lot || lot.items === 0) return refuse('nothing_to_refill', 1, 0);
    const most = Math.max(0, lot.items * this.rule.usesPerFill - lot.left);
    const postings: Posting[] =
      gives === undefined
        ? [{ holdingId: lot.id, items: 0, left: 0, how: 'full' }]
        : [by(lot.id, 0, Math.min(gives, most))];
    if (from) {
      const have = from.lots.reduce((sum, { left }) => sum + left, 0);
      if (have <= 0) return refuse('bottle_empty', from.amount, have);
      let waiting = Math.min(from.amount, have);
      for (const bottle of from.lots) {
        const taken = Math.min(waiting, bottle.left);
        if (taken > 0) postings.push(by(bottle.id, 0, -taken));
        waiting -= taken;
      }
    }
    return this.done(
      {
        act: 'refill',
        ...(from ? { from: { supplyId: from.supplyId, amount: from.amount } } : {}),
        ...(weights ? { weights } : {}),
      },
      postings,
    );
  }

  open(packs: number, sheets: number): Posted | StockRefusal {
    const taken = this.take({ of: 'pack' }, packs, 'use');
    if ('code' in taken) return taken;
    const { id } = this.gainer({});
    return this.done({ act: 'open', packs, sheets }, [...taken.postings, by(id, 0, sheets)]);
  }

  cut({ amount, items, left, baseSize, scrapSize, pieces, lotId, project }: CutRequest) {
    const bySize = pieces && oneEach(pieces);
    const count = (as: LotAs, given: number): number =>
      bySize ? bySize.reduce((sum, piece) => sum + (piece.as === as ? piece.items : 0), 0) : given;
    const made = { base: count('base', items), scrap: count('scrap', left) };
    // Of ribbon remnants are kept, but no bases are made.
    if (!this.form.parts || CUT_INTO.some((as) => made[as] > 0 && !this.keeps(as)))
      return refuse('no_such_part');
    const taken = this.take({ lotId }, amount, 'use');
    if ('code' in taken) return taken;
    const gains = (of: LotAs, count: number, sizeUm: FlatSize | undefined): Posting[] =>
      count > 0 ? [by(this.gainer({ of, sizeUm }).id, count, 0)] : [];
    const postings = [
      ...taken.postings,
      ...(bySize
        ? bySize.flatMap((piece) => gains(piece.as, piece.items, piece.sizeUm))
        : [...gains('base', items, baseSize), ...gains('scrap', left, scrapSize)]),
    ];
    const whole = this.asOf({ lotId }) === 'whole';
    return this.done(
      {
        act: 'cut',
        sheets: whole ? amount : 0,
        ...(whole ? {} : { fromScraps: amount }),
        bases: made.base,
        scraps: made.scrap,
        ...(baseSize ? { baseSize } : {}),
        ...(scrapSize ? { scrapSize } : {}),
        ...(bySize ? { pieces: bySize } : {}),
        ...(project === undefined ? {} : { project }),
      },
      postings,
    );
  }
}

const CUT_INTO = ['base', 'scrap'] as const;
type CutRequest = Extract<StockRequest, { act: 'cut' }>;

const by = (holdingId: string, items: number, left: number): Posting => ({
  holdingId,
  items,
  left,
  how: 'by',
});
