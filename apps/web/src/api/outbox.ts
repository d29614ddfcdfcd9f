import type { Command } from '@red-shelf/contract';
import { onlineManager, type QueryClient } from '@tanstack/react-query';
import { ApiError, lost, sendCommand } from './client';
import { forgetCommand, readCommands, writeCommand } from './disk';
import { readKept, type Kept, type Waiting } from './keptCommand';
import { thisTab, untilGone } from './tabs';

export interface OutboxState {
  /** In the order they were done. */
  readonly waiting: readonly Waiting[];
  readonly refused: readonly Waiting[];
  /** Nobody answers, or nothing can be written down. */
  readonly stuck: boolean;
  /** The code of why nothing can be written down; null where nobody answers. */
  readonly because: string | null;
}

/** How long until a command is sent again, ms. */
const AGAIN_AFTER_MS = [250, 1000, 2000, 4000] as const;
const MOST_MS = 8000;

const isLost = (error: unknown): boolean => error instanceof ApiError && error.isLost;
const isDone = (error: unknown): boolean =>
  error instanceof ApiError && error.problem.code === 'done_already';

/**
 * Commands that were done here and are not answered yet: kept on disk, shown, sent one after another, repeated until
 * answered. The server knows each by its name and does none twice.
 */
export class Outbox {
  private state: OutboxState = {
    waiting: [],
    refused: [],
    stuck: !onlineManager.isOnline(),
    because: null,
  };
  private readonly listeners = new Set<() => void>();
  private readonly tried = new Set<string>();
  /** Taken back before they were tried. */
  private readonly dropped = new Set<string>();
  private inFlight = 0;
  private sent = 0;

  /** `onAnswer` makes what is shown true, before the command stops waiting; `onRest` is told when nothing waits any more. */
  constructor(
    private readonly client: QueryClient,
    private readonly told: {
      readonly onAnswer: (command: Command, answer: unknown) => void;
      readonly onRest: () => void;
    },
  ) {
    onlineManager.subscribe((online) => this.become({ stuck: !online }));
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly now = (): OutboxState => this.state;

  private become(next: Partial<OutboxState>): void {
    this.state = { ...this.state, ...next };
    for (const listener of [...this.listeners]) listener();
  }

  /** Begins a reading; answers whether, in the end, no command can have come between. */
  reading(): () => boolean {
    const { sent, inFlight } = this;
    return () => inFlight === 0 && this.sent === sent;
  }

  /** Takes up what other pages left, oldest first, each page's once it is gone. */
  async takeUp(): Promise<void> {
    const tabs = new Set((await this.left()).map(({ tab }) => tab));
    await Promise.all(
      [...tabs].map(async (tab) => {
        if (tab === thisTab()) return;
        await untilGone(tab);
        // Looked at again: another page may have been quicker.
        this.adopt((await this.left()).filter((each) => each.tab === tab));
      }),
    );
  }

  private async left(): Promise<Kept[]> {
    return readKept([...(await readCommands()).values()]);
  }

  private adopt(left: readonly Kept[]): void {
    const known = new Set([...this.state.waiting, ...this.state.refused].map(({ command }) => command.id));
    const fresh = left
      .filter(({ command }) => !known.has(command.id))
      .sort((p, q) => (p.command.id < q.command.id ? -1 : 1));
    const waiting = fresh.filter(({ refusal }) => refusal === undefined);
    const refused = fresh.filter(({ refusal }) => refusal !== undefined);
    this.become({
      waiting: [...waiting, ...this.state.waiting],
      refused: [...refused, ...this.state.refused],
    });
    for (const each of fresh) void this.write(each);
    for (const each of waiting) void this.deliver(each).catch(() => undefined);
  }

  private write(what: Waiting): Promise<void> {
    return writeCommand(what.command.id, { ...what, tab: thisTab() });
  }

  /**
   * Shows a command, keeps it on disk and sends it. Ends once it is kept; `answer` is what the server says in the end.
   * Who waits for it (`heard`) is told of a refusal; else the refusal is kept for the person to see.
   */
  async keep(what: Waiting): Promise<{ answer: Promise<unknown> }> {
    this.become({ waiting: [...this.state.waiting, what] });
    await this.write(what);
    const answer = this.deliver(what);
    answer.catch(() => undefined);
    return { answer };
  }

  /** Ends when nobody answers, at once where nobody does already. From then on nobody waits for this command. */
  whenStuck(id: string): Promise<void> {
    return new Promise((resolve) => {
      const look = (): void => {
        if (!this.state.stuck) return;
        stop();
        const { waiting } = this.state;
        if (waiting.some(({ command, heard }) => heard && command.id === id))
          this.become({
            waiting: waiting.map((each) => (each.command.id === id ? { ...each, heard: false } : each)),
          });
        resolve();
      };
      const stop = this.subscribe(look);
      look();
    });
  }

  /** Somebody answered, or is about to be asked anew. */
  reached(): void {
    // A disk that takes nothing can still be read from.
    if (this.state.stuck && this.state.because === null && onlineManager.isOnline())
      this.become({ stuck: false });
  }

  /** Takes back a command that was never sent; false where it may have been done already. */
  async cancel(id: string): Promise<boolean> {
    if (this.tried.has(id) || !this.state.waiting.some(({ command }) => command.id === id)) return false;
    this.dropped.add(id);
    await this.drop(id);
    return true;
  }

  /** Forgets a refused command that the person has seen. */
  async dismiss(id: string): Promise<void> {
    this.become({ refused: this.state.refused.filter(({ command }) => command.id !== id) });
    await forgetCommand(id);
  }

  private async drop(id: string): Promise<void> {
    this.become({ waiting: this.state.waiting.filter(({ command }) => command.id !== id) });
    await forgetCommand(id);
  }

  /** One after another, and again until it is answered. */
  private run(command: Command): Promise<unknown> {
    const mutation = this.client.getMutationCache().build<unknown, Error, Command, unknown>(this.client, {
      mutationKey: ['command'],
      scope: { id: 'commands' },
      mutationFn: (each) => this.send(each),
      retry: (_, error) => isLost(error) && !this.dropped.has(command.id),
      retryDelay: (failures) => AGAIN_AFTER_MS[failures] ?? MOST_MS,
      gcTime: 0,
    });
    return mutation.execute(command);
  }

  private async send(command: Command): Promise<unknown> {
    if (this.dropped.has(command.id)) throw lost();
    this.tried.add(command.id);
    this.sent++;
    this.inFlight++;
    try {
      const answer = await sendCommand(command);
      if (this.state.because !== null) this.become({ stuck: false, because: null });
      this.reached();
      return answer;
    } catch (error) {
      const because = error instanceof ApiError && error.isFull ? error.problem.code : null;
      if (isLost(error) !== this.state.stuck || because !== this.state.because)
        this.become({ stuck: isLost(error), because });
      throw error;
    } finally {
      this.inFlight--;
    }
  }

  private async deliver(what: Waiting): Promise<unknown> {
    const { command } = what;
    try {
      const answer = await this.run(command);
      this.told.onAnswer(command, answer);
      await this.drop(command.id);
      return answer;
    } catch (error) {
      const heard = this.state.waiting.some((each) => each.heard && each.command.id === command.id);
      if (!heard && !isDone(error) && !this.dropped.has(command.id)) {
        const refused = { ...what, refusal: error instanceof Error ? error.message : String(error) };
        await this.write(refused);
        this.become({ refused: [...this.state.refused, refused] });
        this.become({ waiting: this.state.waiting.filter((each) => each.command.id !== command.id) });
      } else await this.drop(command.id);
      throw error;
    } finally {
      if (this.state.waiting.length === 0) this.told.onRest();
    }
  }
}
