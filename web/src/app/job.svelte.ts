import { untrack } from 'svelte';
import * as api from '../api/client';
import { ApiProblem, asProblem, ask, type Patience } from '../api/call';
import { smaller } from '../parts/picture';
import type {
  BuildUpForm,
  CycleForm,
  DocumentForm,
  FigureView,
  Finding,
  JobDocuments,
  JobForm,
  JobHead,
  LayerForm,
  LogBook,
  LogForm,
  Staged,
  Stages,
  TakeOffView,
  ZoneForm,
  ZoneHead,
} from '../api/types';
import { pointerTo } from './pointer';

const FOLLOW_AGAIN_MS = 1500;
/** What is come back to after so long may have turned by the clock: it is asked for again, also where nobody wrote. */
const STANDS_MS = 60_000;

/** Somebody writes what will be sent with the version they saw: in a dialog, or in a form that says so. */
const isDrafting = (): boolean =>
  document.querySelector('dialog[open]') !== null ||
  (document.activeElement?.closest('[data-versioned]') ?? null) !== null;

/** What the working panel shows: a figure, and the finding it stands behind where there is one. */
export interface Opened {
  figure?: FigureView;
  finding?: Finding;
  /** The figure that was pressed, where its working was fetched since. */
  of?: FigureView;
}

/** An answer about a job beside its head. */
interface Answer {
  changes: number;
  photos?: Record<string, string[]>;
}

interface Kept {
  answer: Answer;
  at: number;
}

const without = <T>(all: Record<string, T>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(all).filter(([k]) => k !== key));

/** One job on the screen: what the server last said of it, and everything that can be done with it. */
export class JobDesk {
  job = $state.raw<JobHead | null>(null);
  problem = $state.raw<ApiProblem | null>(null);
  opened = $state.raw<Opened | null>(null);
  /** Said once to whoever cannot see the screen change, and shown for a moment to everybody. */
  said = $state('');

  /** Counts what others wrote while this screen watched. */
  othersWrote = $state(0);

  /** Of the log entries that have any, by the entry's key. */
  photos = $state.raw<Record<string, string[]>>({});

  readonly #id: string;
  /** What was answered, by its path. */
  #answers = $state.raw<Record<string, Kept>>({});
  /** The paths that somebody looks at, and how many. */
  #wanted: Record<string, number> = {};
  #asked: Record<string, Promise<void>> = {};

  constructor(id: string) {
    this.#id = id;
  }

  /** The head, and what is looked at where it changed. */
  async load(): Promise<void> {
    try {
      await this.#show(await api.head(this.#id));
    } catch (e) {
      this.problem = asProblem(e);
    }
  }

  /** An answer that was overtaken is older by its count, and is dropped. */
  #show(head: JobHead): Promise<unknown> {
    if (!this.job || head.changes >= this.job.changes) {
      this.job = head;
      this.problem = null;
    }
    return Promise.all(Object.keys(this.#wanted).map((path) => this.#follow(path)));
  }

  /** Asks for what is not as new as the head. */
  async #follow(path: string): Promise<void> {
    const kept = this.#answers[path];
    const fresh =
      kept && kept.answer.changes >= (this.job?.changes ?? 0) && Date.now() - kept.at < STANDS_MS;
    if (!fresh) {
      await this.#ask(path);
    }
  }

  /** One question at a time about one thing; what was written while it was on its way is asked after. */
  #ask(path: string): Promise<void> {
    const before = this.#asked[path];
    if (before) {
      return before.then(() => this.#follow(path));
    }
    const asking = this.#fetch(path).finally(() => {
      this.#asked = without(this.#asked, path);
    });
    this.#asked[path] = asking;
    return asking;
  }

  async #fetch(path: string): Promise<void> {
    try {
      await this.#keep(path);
      this.problem = null;
    } catch (e) {
      this.problem = asProblem(e);
    }
  }

  async #keep(path: string): Promise<void> {
    const answer = await ask<Answer>(path);
    this.#answers = { ...this.#answers, [path]: { answer, at: Date.now() } };
    this.photos = answer.photos ?? this.photos;
  }

  /** Asks for what will be wanted as soon as the head is there. What is not there any more is told to whoever wants it, not here. */
  ahead(path: string): void {
    this.#asked[path] ??= this.#keep(path)
      .catch(() => undefined)
      .finally(() => {
        this.#asked = without(this.#asked, path);
      });
  }

  /** Keeps an answer as new as the head while somebody looks at it; answers how to look away. */
  want(path: string): () => void {
    return untrack(() => {
      this.#wanted[path] = (this.#wanted[path] ?? 0) + 1;
      void this.#follow(path);
      return () => {
        const left = (this.#wanted[path] ?? 1) - 1;
        this.#wanted = left > 0 ? { ...this.#wanted, [path]: left } : without(this.#wanted, path);
      };
    });
  }

  /** Asks anew for the preparation of a zone: what it takes was keyed in elsewhere, and the job is as it was. */
  again(zoneId: string): Promise<void> {
    return this.#ask(this.path(zoneId, 'prep'));
  }

  /** Where a stage of a zone is asked for. @param layerId of a layer's stage */
  path(zoneId: string, kind: keyof Stages, layerId = ''): string {
    return api.stagePath(this.#id, zoneId, kind, layerId);
  }

  /** A zone with one stage of it; null while that is on its way. */
  staged<K extends keyof Stages>(zone: ZoneHead, kind: K, layerId = ''): Staged<K> | null {
    const kept = this.#answers[this.path(zone.id, kind, layerId)];
    if (!kept) {
      return null;
    }
    // the path says which stage was answered
    const stage = kept.answer as unknown as Stages[K];
    return {
      ...stage,
      ...zone,
      report: { ...zone.report, ...stage.report },
    } as unknown as Staged<K>;
  }

  get takeOffPath(): string {
    return api.takeOffPath(this.#id);
  }

  get takeOff(): TakeOffView | null {
    return (this.#answers[this.takeOffPath]?.answer as TakeOffView | undefined) ?? null;
  }

  /** What a write about what is bought answered: the take-off as it is now. */
  async bought(write: Promise<TakeOffView>, said: string): Promise<void> {
    const answer = await write;
    this.#answers = { ...this.#answers, [this.takeOffPath]: { answer, at: Date.now() } };
    this.opened = null;
    this.said = said;
    await this.load();
  }

  get logPath(): string {
    return api.logPath(this.#id);
  }

  get logBook(): LogBook | null {
    return (this.#answers[this.logPath]?.answer as LogBook | undefined) ?? null;
  }

  get documentsPath(): string {
    return api.documentsPath(this.#id);
  }

  get documents(): JobDocuments | null {
    return (this.#answers[this.documentsPath]?.answer as JobDocuments | undefined) ?? null;
  }

  async keepDocument(key: string, name: string, file: Blob): Promise<void> {
    await api.keepWithJob(this.#id, key, name, file);
    this.said = 'Document kept';
    await this.load();
  }

  async putDocument(documentId: string, key: string, form: DocumentForm): Promise<void> {
    await api.putOfJob(this.#id, documentId, key, form);
    this.said = form.putAway ? 'Document put away' : 'Document saved';
    await this.load();
  }

  /** Follows what other screens write. */
  watch(): () => void {
    let waiting: ReturnType<typeof setTimeout> | undefined;
    let opening = true;
    const follow = (others: boolean) => {
      clearTimeout(waiting);
      if (isDrafting()) {
        // a draft keeps the version it began with, so that its write is told what changed meanwhile
        waiting = setTimeout(() => follow(others), FOLLOW_AGAIN_MS);
        return;
      }
      const before = this.job?.changes ?? 0;
      void this.load().then(() => {
        if (others && (this.job?.changes ?? 0) !== before) {
          this.othersWrote++;
          this.said = 'Changed on another screen';
        }
      });
    };
    const stop = api.watchJob(this.#id, () => {
      // what was written while this screen opened is shown, and nothing is said of it
      follow(!opening);
      opening = false;
    });
    return () => {
      clearTimeout(waiting);
      stop();
    };
  }

  zone(zoneId: string): ZoneHead | null {
    return this.job?.zones.find((z) => z.id === zoneId) ?? this.job?.zones[0] ?? null;
  }

  open(figure?: FigureView, finding?: Finding): void {
    this.opened = { ...(figure && { figure, of: figure }), ...(finding && { finding }) };
    if (figure && !figure.steps) {
      void this.#work(figure);
    }
  }

  /** Fetches the working of a figure from the answer that it came in. */
  async #work(figure: FigureView): Promise<void> {
    const answers: [string, unknown][] = [
      [api.headPath(this.#id), this.job],
      ...Object.entries(this.#answers).map(([path, kept]): [string, unknown] => [
        path,
        kept.answer,
      ]),
    ];
    for (const [path, answer] of answers) {
      const at = pointerTo(answer, figure);
      if (at !== null) {
        try {
          const worked = await api.working(path, at);
          if (this.opened?.of === figure) {
            this.opened = { ...this.opened, figure: worked };
          }
        } catch (e) {
          this.problem = asProblem(e);
        }
        return;
      }
    }
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
    // whoever added it goes there next: what is looked at now is not waited for
    const added = api.addZone(this.#id, key, this.version, form);
    await this.#take(added, `Zone ${form.name} added`, false);
  }

  /** Everything that goes on in the zone's cycle. */
  async build(zoneId: string, key: string, form: BuildUpForm): Promise<void> {
    await this.#take(
      api.build({ jobId: this.#id, zoneId }, key, this.version, form),
      'What goes on was changed',
    );
  }

  async editZone(zoneId: string, key: string, form: ZoneForm): Promise<void> {
    await this.#take(
      api.editZone({ jobId: this.#id, zoneId }, key, this.version, form),
      'Zone saved',
    );
  }

  async beginCycle(zoneId: string, key: string, form: CycleForm): Promise<void> {
    await this.#take(
      api.beginCycle({ jobId: this.#id, zoneId }, key, this.version, form),
      'The next begins',
    );
  }

  async takeCycleBack(zoneId: string, number: number, key: string): Promise<void> {
    const where = { jobId: this.#id, zoneId, number };
    await this.#take(api.takeCycleBack(where, key, this.version), 'Taken back');
  }

  async editLayer(zoneId: string, layerId: string, key: string, form: LayerForm): Promise<void> {
    const where = { jobId: this.#id, zoneId, layerId };
    await this.#take(api.editLayer(where, key, this.version, form), 'Layer saved');
  }

  async log(zoneId: string, key: string, form: LogForm, patience?: Patience): Promise<void> {
    const logged = api.log({ jobId: this.#id, zoneId }, key, form, patience).then((l) => l.head);
    await this.#take(logged, 'Saved to the log');
  }

  /** Puts a picture under an entry of the log; it is made small enough to travel first. */
  async photo(entryKey: string, file: File): Promise<void> {
    await this.#take(
      api.addPhoto(this.#id, entryKey, api.newKey(), await smaller(file)),
      'Photo saved',
    );
  }

  /**
   * A stale write is answered only once the job is here as it is now, so that saving again has seen it; any other once what is looked at
   * shows it.
   */
  async #take(write: Promise<JobHead>, said: string, settles = true): Promise<void> {
    try {
      const shown = this.#show(await write);
      if (settles) {
        await shown;
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
