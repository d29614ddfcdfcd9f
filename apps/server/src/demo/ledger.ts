import {
  countRuleOf,
  foldEvents,
  formFor,
  formOf,
  planPosting,
  type Holding,
  type LotAs,
  type PlaceSpot,
  type StockRequest,
} from '@red-shelf/core';
import type { StashDocument } from '@red-shelf/contract';

export type Supply = StashDocument['supplies'][number];
export type Event = StashDocument['events'][number];
export type Lot = StashDocument['holdings'][number];

/** One supply's lots and ledger, written the way the program writes them. */
export class DemoLedger {
  readonly lots: Lot[];
  readonly events: Event[] = [];
  constructor(
    readonly supply: Supply,
    private readonly newId: () => string,
  ) {
    this.lots = [
      { id: `${supply.id}-whole`, version: 1, supplyId: supply.id, as: 'whole', sizeUm: null, spot: null },
    ];
  }

  private get rule() {
    return countRuleOf(formFor(this.supply));
  }

  private now(): Holding[] {
    const lots = new Map(this.lots.map(({ id, as }) => [id, { whole: as === 'whole' }]));
    const { tallies } = foldEvents(this.events, this.supply.id, lots, this.rule);
    return this.lots.map((lot) => ({ ...lot, ...(tallies.get(lot.id) ?? { items: 0, left: 0 }) }));
  }

  /** What is left of whole things. */
  get left(): number {
    return this.now().reduce((sum, { as, left }) => sum + (as === 'whole' ? left : 0), 0);
  }

  act(at: string, request: StockRequest): void {
    const form = formOf(this.supply.kind, this.supply.form);
    const plan = planPosting(request, this.now(), form, this.rule, () => this.newId());
    if ('code' in plan) throw new Error(`The demo asks what cannot be: ${plan.code}`);
    for (const lot of plan.made) this.lots.push({ ...lot, version: 1, supplyId: this.supply.id, spot: null });
    this.write(at, { ...plan.happening, postings: [...plan.postings], shifts: [] });
  }

  /** Puts a sort of lot somewhere. */
  place(at: string, as: LotAs, spot: PlaceSpot): void {
    const index = this.lots.findIndex((lot) => lot.as === as);
    const lot = this.lots[index];
    if (!lot) throw new Error(`The demo has no ${as} of ${this.supply.name}`);
    this.lots[index] = { ...lot, spot };
    this.write(at, { act: 'move', postings: [], shifts: [{ holdingId: lot.id, from: lot.spot, to: spot }] });
  }

  private write(at: string, happened: { act: Event['act'] } & Pick<Event, 'postings' | 'shifts'>): void {
    this.events.push({
      id: this.newId(),
      supplyId: this.supply.id,
      at,
      recordedAt: at,
      ...happened,
    } as Event);
  }
}
