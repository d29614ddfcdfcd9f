import { createHash, randomBytes } from 'node:crypto';
import { z } from 'zod';
import type { DeviceView } from '@red-shelf/contract';
import { inTurn } from '../db/inTurn';
import { notFound, Refusal } from '../services/refusal';
import type { Ports } from '../services/ports';
import { KeptFile } from './keptFile';

const MOST_DEVICES = 50;
/** How exactly the disk knows when a device was last here, ms. */
const SEEN_EVERY_MS = 3_600_000;
/** A device that was not here for so long has to give the passphrase again; browsers keep no cookie longer. */
export const FORGOTTEN_AFTER_MS = 400 * 86_400_000;

const device = z.object({
  id: z.string(),
  name: z.string(),
  since: z.string(),
  seen: z.string(),
  /** SHA-256 of what the device carries: who reads this file enters nothing by it. */
  token: z.string(),
});
type Device = z.infer<typeof device>;

const digest = (token: string): string => createHash('sha256').update(token).digest('base64url');

/** Devices that were let in. A change is on disk before it is acknowledged, and holds at once. */
export class Devices {
  private byToken = new Map<string, Device>();
  private readonly inTurn = inTurn();
  private readonly listeners: ((ids: readonly string[]) => void)[] = [];
  private readonly file: KeptFile<Device[]>;
  constructor(
    path: string,
    private readonly ports: Ports,
  ) {
    this.file = new KeptFile(path, z.array(device));
  }

  async load(): Promise<void> {
    this.byToken = new Map(((await this.file.read()) ?? []).map((each) => [each.token, each]));
  }

  /** One after another: each sees what the one before it left. */
  private change<T>(work: (now: readonly Device[]) => { next: Device[]; answer: T }): Promise<T> {
    return this.inTurn(async () => {
      const { next, answer } = work([...this.byToken.values()]);
      await this.file.write(next);
      this.byToken = new Map(next.map((each) => [each.token, each]));
      return answer;
    });
  }

  /** Lets a device in; the answer is what it carries from now on. */
  letIn(name: string): Promise<{ token: string; id: string }> {
    const token = randomBytes(32).toString('base64url');
    const id = this.ports.newId();
    const now = this.ports.now();
    return this.change((devices) => {
      const known = devices.filter((each) => !this.isForgotten(each));
      if (known.length >= MOST_DEVICES)
        throw new Refusal(
          409,
          'too_many_devices',
          `${MOST_DEVICES} devices were let in already. Shut one out on the computer that holds the stash.`,
        );
      return {
        next: [...known, { id, name, since: now, seen: now, token: digest(token) }],
        answer: { token, id },
      };
    });
  }

  /** Which device carries this, if any; it was here now. */
  carrying(token: string): DeviceView | null {
    const found = this.byToken.get(digest(token));
    if (!found || this.isForgotten(found)) return null;
    const now = this.ports.now();
    const isOld = Date.parse(now) - Date.parse(found.seen) > SEEN_EVERY_MS;
    if (isOld) void this.see(found.id, now).catch(() => undefined);
    return found;
  }

  private see(id: string, now: string): Promise<void> {
    return this.change((devices) => ({
      next: devices.map((each) => (each.id === id ? { ...each, seen: now } : each)),
      answer: undefined,
    }));
  }

  private isForgotten({ seen }: Device): boolean {
    return Date.parse(this.ports.now()) - Date.parse(seen) > FORGOTTEN_AFTER_MS;
  }

  list(): DeviceView[] {
    return [...this.byToken.values()].map(({ id, name, since, seen }) => ({ id, name, since, seen }));
  }

  private about(id: string, next: (devices: readonly Device[]) => Device[]): Promise<void> {
    return this.change((devices) => {
      if (!devices.some((each) => each.id === id)) throw notFound('device');
      return { next: next(devices), answer: undefined };
    });
  }

  call(id: string, name: string): Promise<void> {
    return this.about(id, (devices) => devices.map((each) => (each.id === id ? { ...each, name } : each)));
  }

  async shutOut(id: string): Promise<void> {
    await this.about(id, (devices) => devices.filter((each) => each.id !== id));
    for (const hear of this.listeners) hear([id]);
  }

  async shutOutAll(): Promise<void> {
    const ids = await this.change((devices) => ({ next: [], answer: devices.map(({ id }) => id) }));
    for (const hear of this.listeners) hear(ids);
  }

  /** Told which devices were shut out, each time some are. */
  onShutOut(hear: (ids: readonly string[]) => void): void {
    this.listeners.push(hear);
  }
}
