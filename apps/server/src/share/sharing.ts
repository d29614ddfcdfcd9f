import { createHash } from 'node:crypto';
import { createServer, type Server } from 'node:https';
import type { Socket } from 'node:net';
import { basename, dirname, join, parse } from 'node:path';
import type { RequestListener } from 'node:http';
import type { ShareView } from '@red-shelf/contract';
import { inTurn } from '../db/inTurn';
import type { Ports } from '../services/ports';
import { Refusal } from '../services/refusal';
import { authorityIn, certificateFor, fingerprintOf, type Authority } from './authority';
import type { Chosen } from './addresses';
import { Devices } from './devices';
import { Passphrase } from './passphrase';

/** A running server gets a new certificate long before phones would stop taking the old one, ms. */
const ANEW_AFTER_MS = 20 * 86_400_000;
/** So many connections are held at once; more wait. */
const MOST_CONNECTIONS = 256;
/** A phone on a bad line needs a second or two to begin. */
const HANDSHAKE_MS = 8000;
/** So many lines one device may hold: its browser opens six. */
const MOST_OF_ONE = 24;

/** Hangs up on an address that holds more lines than one device needs, so that one alone cannot take them all. */
function fewOfEach(): (socket: Socket) => void {
  const lines = new Map<string, number>();
  return (socket) => {
    const address = socket.remoteAddress ?? '';
    const now = (lines.get(address) ?? 0) + 1;
    lines.set(address, now);
    socket.once('close', () => {
      const left = (lines.get(address) ?? 1) - 1;
      if (left > 0) lines.set(address, left);
      else lines.delete(address);
    });
    if (now > MOST_OF_ONE) socket.destroy();
  };
}

/**
 * Reaching the stash from the house's network: begins once a passphrase is set, never before. What it needs lies beside the
 * stash: one authority for the folder, a passphrase and devices for each stash.
 */
export class Sharing {
  readonly devices: Devices;
  private readonly passphrase: Passphrase;
  private readonly folder: string;
  private readonly inTurn = inTurn();
  private because: string | null;
  private fingerprint: string | null = null;
  private authority: Authority | null = null;
  private servers: Server[] = [];
  private door: RequestListener | null = null;
  private port = 0;
  private anew: ReturnType<typeof setInterval> | null = null;

  /** `opened` is told once it can be reached. */
  constructor(
    private readonly db: string,
    private readonly chosen: Chosen,
    ports: Ports,
    private readonly opened: (addresses: readonly string[]) => void = () => undefined,
  ) {
    this.folder = join(dirname(db), 'share');
    const { name } = parse(db);
    this.devices = new Devices(join(this.folder, `${name}-devices.json`), ports);
    this.passphrase = new Passphrase(join(this.folder, `${name}-passphrase.json`));
    this.because = chosen.ok ? null : chosen.because;
  }

  /** What a device carries is named for its stash: browsers keep them for a whole computer, whatever the port. */
  get cookie(): string {
    const name = createHash('sha256').update(basename(this.db)).digest('hex').slice(0, 8);
    return `__Host-red-shelf-${name}`;
  }

  private get addresses(): string[] {
    return this.chosen.ok ? this.chosen.addresses.map((each) => `https://${each}:${this.port}`) : [];
  }

  /** Gets ready, and opens if there is a passphrase. `port` is the one loopback answers on. */
  async begin(port: number, door: RequestListener): Promise<void> {
    this.port = port;
    this.door = door;
    if (!this.chosen.ok) return;
    await this.devices.load();
    this.authority = await authorityIn(this.folder);
    this.fingerprint = await fingerprintOf(this.authority);
    if (await this.passphrase.isSet()) await this.open();
  }

  /** Whether a request for this host (with port) was meant for one of the addresses that were printed. */
  isAt = (host: string): boolean => this.addresses.includes(`https://${host}`);

  view(asking: string | null = null): ShareView {
    const state = this.servers.length > 0 ? 'on' : this.chosen.ok && !this.because ? 'passphrase' : 'off';
    const { because, addresses, fingerprint } = this;
    return { state, because, addresses, fingerprint, asking, devices: this.devices.list() };
  }

  /** The authority's certificate, DER: what a phone has to trust. */
  certificate(): Buffer {
    if (!this.authority) throw new Refusal(409, 'not_shared', this.because ?? 'It is not shared.');
    return Buffer.from(this.authority.certificate.rawData);
  }

  /** Sets another passphrase. Who knew the one before is shut out; what was not open yet opens. */
  setPassphrase(text: string): Promise<void> {
    if (!this.chosen.ok) throw new Refusal(409, 'not_shared', this.chosen.because);
    return this.inTurn(async () => {
      await this.devices.shutOutAll();
      await this.passphrase.set(text);
      if (this.servers.length === 0) await this.open();
    });
  }

  /** Sets this passphrase unless it is set already. */
  async ensurePassphrase(text: string): Promise<void> {
    if (!(await this.passphrase.is(text))) await this.setPassphrase(text);
  }

  /** Lets a device in that knows the passphrase; null where it does not. Guesses are tried one after another. */
  enter(text: string, name: string): Promise<{ token: string; id: string } | null> {
    return this.inTurn(async () => ((await this.passphrase.is(text)) ? this.devices.letIn(name) : null));
  }

  private async open(): Promise<void> {
    const { authority, door, chosen } = this;
    if (!authority || !door || !chosen.ok) return;
    const made = async () => ({
      ...(await certificateFor(authority, chosen.addresses)),
      minVersion: 'TLSv1.2' as const,
      // Who opens a line and says nothing makes room for others.
      handshakeTimeout: HANDSHAKE_MS,
    });
    const settings = await made();
    const opening = chosen.addresses.map((address) => this.listen(createServer(settings, door), address));
    const results = await Promise.allSettled(opening);
    this.servers = results.flatMap((each) => (each.status === 'fulfilled' ? [each.value] : []));
    const failed = results.flatMap((each) => (each.status === 'rejected' ? [each.reason as Error] : []));
    if (failed.length > 0) {
      await this.close();
      this.because = failed.map(({ message }) => message).join(' ');
      return;
    }
    this.anew = setInterval(() => {
      void made().then((next) => this.servers.forEach((server) => server.setSecureContext(next)));
    }, ANEW_AFTER_MS).unref();
    this.opened(this.addresses);
  }

  private listen(server: Server, address: string): Promise<Server> {
    server.maxConnections = MOST_CONNECTIONS;
    server.on('connection', fewOfEach());
    // What is no TLS is no guest.
    server.on('tlsClientError', (_error, socket) => socket.destroy());
    return new Promise((resolve, reject) => {
      server.on('error', (error: NodeJS.ErrnoException) => reject(new Error(this.whyNot(error, address))));
      server.listen(this.port, address, () => resolve(server));
    });
  }

  private whyNot({ code }: NodeJS.ErrnoException, address: string): string {
    if (code === 'EADDRNOTAVAIL')
      return `${address} is no address of this computer any more. Start again with --share alone, and it finds those it has.`;
    if (code === 'EADDRINUSE')
      return `Another program answers on ${address}:${this.port}. End it, or choose another port: PORT=4311 npm start -- --share.`;
    return `The system does not let this program answer on ${address}:${this.port} (${code ?? 'no reason given'}).`;
  }

  async close(): Promise<void> {
    if (this.anew) clearInterval(this.anew);
    const { servers } = this;
    this.servers = [];
    await Promise.all(
      servers.map((server) => {
        const closed = new Promise((resolve) => server.close(resolve));
        server.closeAllConnections();
        return closed;
      }),
    );
  }
}
