/** What is read from a scale. */
export interface Scale {
  /** What it shows now, mg. */
  readonly read: () => { readonly at: number; readonly mg: number };
  readonly tare: () => void;
}

/** How fast it comes to rest, ms. */
const SETTLES_MS = 260;
/** Its zero wanders by so much, mg in a second, up and down over a minute and a half. */
const DRIFT_MG = 90;
const DRIFT_MS = 90_000;
const STARTS_AT_MG = 130;
/** The last figure it shows, and how much it trembles, mg. */
const STEP_MG = 10;
const TREMBLE_MG = 6;

/**
 * A stand-in for a small pocket scale: its readings swing in after something is put on it, tremble by its last figure, and its zero
 * wanders, so that it has to be tared. `now` is ms since anything; what lies on it is told by `put`, mg.
 */
export class ScaleStandIn implements Scale {
  private load = 0;
  private shown = 0;
  private zero = 0;
  private seen: number;

  constructor(private readonly now: () => number = Date.now) {
    this.seen = now();
  }

  put(mg: number): void {
    this.settle();
    this.load = mg;
  }
  tare(): void {
    this.settle();
    this.zero = this.shown + this.drift();
  }
  read(): { at: number; mg: number } {
    this.settle();
    const tremble = TREMBLE_MG * Math.sin(this.seen / 37);
    const mg = this.shown + this.drift() - this.zero + tremble;
    return { at: this.seen, mg: STEP_MG * Math.round(mg / STEP_MG) };
  }

  private drift(): number {
    return STARTS_AT_MG + DRIFT_MG * Math.sin((2 * Math.PI * this.seen) / DRIFT_MS);
  }
  private settle(): void {
    const next = this.now();
    this.shown = this.load + (this.shown - this.load) * Math.exp(-(next - this.seen) / SETTLES_MS);
    this.seen = next;
  }
}
