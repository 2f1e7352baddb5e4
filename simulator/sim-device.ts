import type { Role } from '@sprell/contract';
import type { Device, JobServer } from '../web/src/adapters/device.ts';
import type { LocalStore, LocalWrite, Written } from '../web/src/adapters/local/local-store.ts';
import { MemoryStore } from '../web/src/adapters/local/memory-store.ts';
import { NotifyingStore, type PageNotice } from '../web/src/adapters/local/notifying-store.ts';
import { RequestFailure } from '../web/src/adapters/request-failure.ts';
import { Jobs } from '../web/src/job/jobs.ts';
import type { OpenJob } from '../web/src/job/open-job.ts';
import type { Random } from './random.ts';
import type { SimServer } from './sim-server.ts';

/** A browser: its jobs outlive its pages. */
export class SimDevice {
  readonly name: string;
  /** What the server lets it do; it may change. */
  role: Role;
  readonly store = new MemoryStore(true);
  readonly pages: SimPage[] = [];
  /** Milliseconds that its clock is ahead. */
  readonly skew: number;
  isOnline = true;
  isFull = false;
  /** Answers get lost on the way now and then. */
  isShaky = false;
  readonly server: SimServer;
  readonly random: Random;
  readonly memory = new Map<string, string>();
  #sending: Promise<unknown> = Promise.resolve();

  constructor(
    name: string,
    { role, server, random }: { readonly role: Role; readonly server: SimServer; readonly random: Random },
  ) {
    this.name = name;
    this.role = role;
    this.server = server;
    this.random = random;
    this.skew = random.below(7_200_000) - 3_600_000;
  }

  alone(work: () => Promise<void>): Promise<void> {
    const done = this.#sending.catch(() => undefined).then(work);
    this.#sending = done;
    return done;
  }

  async openPage(): Promise<SimPage> {
    const page = new SimPage(this);
    this.pages.push(page);
    await page.begin();
    return page;
  }

  /** The page goes without a word, as when the browser is killed; or it is left, and may write something down. */
  kill(page: SimPage, how: { readonly isLeft: boolean } = { isLeft: false }): void {
    page.kill(how);
    this.pages.splice(this.pages.indexOf(page), 1);
  }
}

/** A store whose device has no room now and then. */
class StoreWithoutRoom extends NotifyingStore {
  readonly #device: SimDevice;
  readonly #page: SimPage;

  constructor(page: SimPage, notify: (notice: PageNotice) => void) {
    super(page.device.store, notify);
    this.#device = page.device;
    this.#page = page;
  }

  override write(jobId: string, ...whats: readonly LocalWrite[]): Promise<readonly Written[]> {
    if (this.#page.isDead) return new Promise(() => undefined);
    if (this.#device.isFull) return Promise.reject(new DOMException('No room.', 'QuotaExceededError'));
    return super.write(jobId, ...whats);
  }
}

/** A page of a browser with the job open in it. */
export class SimPage {
  readonly device: SimDevice;
  isDead = false;
  readonly #hearing = new Set<(notice: PageNotice) => void>();
  readonly jobs: Jobs;
  #die: () => void = () => undefined;
  readonly #died = new Promise<void>((resolve) => (this.#die = resolve));

  constructor(device: SimDevice) {
    this.device = device;
    this.jobs = new Jobs(this.#asDevice());
  }

  /** The job that is open in it. */
  get job(): OpenJob {
    return this.jobs.open;
  }

  begin(): Promise<void> {
    return this.jobs.start();
  }

  /** Ends it in the middle of whatever it does; one that is left can write down what it had on itself alone. */
  kill({ isLeft }: { readonly isLeft: boolean }): void {
    // Every page of the window hears it. For those that go on it is a word too many, as a browser may give it.
    if (isLeft) window.dispatchEvent(new Event('pagehide'));
    this.isDead = true;
    this.#die();
    this.#hearing.clear();
    this.jobs.dispose();
  }

  #asDevice(): Device {
    const { device } = this;
    const never = new Promise<never>(() => undefined);
    const store: LocalStore = new StoreWithoutRoom(this, (notice) => {
      if (!this.isDead) for (const other of device.pages) if (other !== this) other.#hear(notice);
    });
    return {
      store: () => (this.isDead ? never : Promise.resolve(store)),
      server: () => (this.isDead ? never : Promise.resolve(this.#server())),
      memory: {
        remembered: <T>(key: string) => {
          const text = device.memory.get(key);
          return text === undefined ? undefined : (JSON.parse(text) as T);
        },
        remember: (key, value) => {
          device.memory.set(key, JSON.stringify(value));
          for (const other of device.pages) if (other !== this) for (const follow of other.#following) follow(key);
        },
        follow: (changed) => this.#following.add(changed),
      },
      // A lock of a page that ended is free.
      alone: (work) => device.alone(() => Promise.race([work(), this.#died])),
      hear: (hear) => this.#hearing.add(hear),
    };
  }
  readonly #following = new Set<(key: string) => void>();

  #hear(notice: PageNotice): void {
    for (const hear of this.#hearing)
      queueMicrotask(() => {
        hear(notice);
      });
  }

  #server(): JobServer {
    const { device } = this;
    const { server, random, name } = device;
    /** On the way there and back it may be lost. */
    const ask = async <T>(work: () => T): Promise<T> => {
      const there = (isLost = false) => {
        if (!device.isOnline || isLost) throw new RequestFailure('offline', 'The server cannot be reached.');
      };
      there();
      await after(random.below(40));
      there();
      const answer = work();
      await after(random.below(40));
      there(device.isShaky && random.below(50) === 0);
      return structuredClone(answer);
    };
    return {
      list: () => ask(() => server.list(device.role)),
      open: () => ask(() => server.read(device.role, -1)),
      since: (_, revision) => ask(() => server.read(device.role, revision)),
      send: (_, changes, history) => ask(() => server.send(name, device.role, changes, history)),
      listen: (_, changed) => {
        const hear = (revision: number) => {
          if (device.isOnline && !this.isDead)
            setTimeout(() => {
              changed(revision);
            }, random.below(40));
        };
        server.listeners.add(hear);
        return () => server.listeners.delete(hear);
      },
    };
  }
}

const after = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));
