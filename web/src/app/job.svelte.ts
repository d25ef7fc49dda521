import * as api from '../api/client';
import { ApiProblem, asProblem } from '../api/client';
import { smaller } from '../parts/picture';
import type {
  CycleForm,
  FigureView,
  Finding,
  JobForm,
  JobView,
  LayerForm,
  LogForm,
  ZoneForm,
  ZoneView,
} from '../api/types';

const FOLLOW_AGAIN_MS = 1500;

/** Somebody writes what will be sent with the version they saw: in a dialog, or in a form that says so. */
const isDrafting = (): boolean =>
  document.querySelector('dialog[open]') !== null ||
  (document.activeElement?.closest('[data-versioned]') ?? null) !== null;

/** What the working panel shows: a figure, and the finding it stands behind where there is one. */
export interface Opened {
  figure?: FigureView;
  finding?: Finding;
}

/** One job on the screen: what the server last said of it, and everything that can be done with it. */
export class JobDesk {
  job = $state.raw<JobView | null>(null);
  problem = $state.raw<ApiProblem | null>(null);
  opened = $state.raw<Opened | null>(null);
  /** Said once to whoever cannot see the screen change, and shown for a moment to everybody. */
  said = $state('');

  /** Counts what others wrote while this screen watched. */
  othersWrote = $state(0);

  readonly #id: string;
  /** Counts the answers that were shown: one that was asked for before another landed may be older than it. */
  #landed = 0;

  constructor(id: string) {
    this.#id = id;
  }

  async load(): Promise<void> {
    const landed = this.#landed;
    try {
      const job = await api.job(this.#id);
      if (this.#landed === landed) {
        this.#show(job);
      } else {
        await this.load();
      }
    } catch (e) {
      this.problem = asProblem(e);
    }
  }

  #show(job: JobView): void {
    this.#landed++;
    this.job = job;
    this.problem = null;
  }

  /** Follows what other screens write. */
  watch(): () => void {
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const follow = () => {
      clearTimeout(waiting);
      if (isDrafting()) {
        // a draft keeps the version it began with, so that its write is told what changed meanwhile
        waiting = setTimeout(follow, FOLLOW_AGAIN_MS);
      } else {
        void this.load().then(() => {
          this.othersWrote++;
          this.said = 'Changed on another screen';
        });
      }
    };
    const stop = api.watchJob(this.#id, follow);
    return () => {
      clearTimeout(waiting);
      stop();
    };
  }

  zone(zoneId: string): ZoneView | null {
    return this.job?.zones.find((z) => z.id === zoneId) ?? this.job?.zones[0] ?? null;
  }

  open(figure?: FigureView, finding?: Finding): void {
    this.opened = { ...(figure && { figure }), ...(finding && { finding }) };
  }

  closeWorking(): void {
    this.opened = null;
  }

  get version(): number {
    return this.job?.version ?? 0;
  }

  async edit(key: string, form: JobForm): Promise<void> {
    await this.#take(api.editJob(this.#id, key, this.version, form), 'Job saved');
  }

  async addZone(key: string, form: ZoneForm): Promise<void> {
    await this.#take(api.addZone(this.#id, key, this.version, form), `Zone ${form.name} added`);
  }

  async editZone(zoneId: string, key: string, form: ZoneForm): Promise<void> {
    await this.#take(api.editZone(this.#id, zoneId, key, this.version, form), 'Zone saved');
  }

  async beginCycle(zoneId: string, key: string, form: CycleForm): Promise<void> {
    await this.#take(api.beginCycle(this.#id, zoneId, key, this.version, form), 'The next begins');
  }

  async takeCycleBack(zoneId: string, number: number, key: string): Promise<void> {
    const where = { jobId: this.#id, zoneId, number };
    await this.#take(api.takeCycleBack(where, key, this.version), 'Taken back');
  }

  async editLayer(zoneId: string, layerId: string, key: string, form: LayerForm): Promise<void> {
    const where = { jobId: this.#id, zoneId, layerId };
    await this.#take(api.editLayer(where, key, this.version, form), 'Layer saved');
  }

  async log(zoneId: string, key: string, form: LogForm): Promise<void> {
    await this.#take(api.log(this.#id, zoneId, key, form), 'Saved to the log');
  }

  /** Puts a picture under an entry of the log; it is made small enough to travel first. */
  async photo(entryKey: string, file: File): Promise<void> {
    await this.#take(
      api.addPhoto(this.#id, entryKey, api.newKey(), await smaller(file)),
      'Photo saved',
    );
  }

  /** A stale write is answered only once the job is here as it is now, so that saving again has seen it. */
  async #take(write: Promise<JobView>, said: string): Promise<void> {
    const landed = this.#landed;
    try {
      const job = await write;
      if (this.#landed === landed) {
        this.#show(job);
      } else {
        await this.load();
      }
    } catch (e) {
      if (e instanceof ApiProblem && e.status === 412) {
        await this.load();
      }
      throw e;
    }
    this.opened = null;
    this.said = said;
  }
}
