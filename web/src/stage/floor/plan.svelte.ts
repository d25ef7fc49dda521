import * as api from '../../api/client';
import { ApiProblem, type Fault } from '../../api/call';
import { newKey } from '../../api/client';
import type {
  PlaceForm,
  PlanForm,
  PlanReport,
  PlanView,
  RoomForm,
  RoomPlan,
  TracedView,
  Units,
  ZoneForm,
} from '../../api/types';
import type { JobDesk } from '../../app/job.svelte';
import { mergedPlan } from './planmerge';

const ECHO_AFTER_MS = 140;
const NOTHING: PlanForm = { rooms: [], north: '' };

/** A length in metres as the job would type it: fine enough that nothing moves. */
const typed = (metres: number, units: Units): string =>
  units === 'US' ? `${(metres / 0.3048).toFixed(5)} ft` : `${metres.toFixed(5)} m`;

export const place = (x: number, y: number, units: Units): PlaceForm => ({
  along: typed(x, units),
  off: typed(y, units),
});

/** An id that none of these has: w7, saw-2. */
export function freeId(prefix: string, taken: readonly { id: string }[]): string {
  let i = taken.length + 1;
  while (taken.some((t) => t.id === `${prefix}${i}`)) {
    i++;
  }
  return `${prefix}${i}`;
}

/**
 * One plan on the screen. The draft is what the fields hold; it is reckoned while it is typed and saved, one revision at a
 * time, when a field is left. What was refused stays in the fields, with its faults beside them.
 */
export class PlanDesk {
  draft = $state<PlanForm>(NOTHING);
  report = $state.raw<PlanReport | null>(null);
  problem = $state.raw<ApiProblem | null>(null);
  busy = $state(false);
  canUndo = $state(false);
  canRedo = $state(false);
  loaded = $state(false);

  readonly #desk: JobDesk;
  readonly #jobId: string;
  readonly #units: Units;
  #version = 0;
  #saved = '';
  /** Writes go one after the other: each sends the version that the one before it made. */
  #last: Promise<void> = Promise.resolve();
  #waiting = 0;
  #echo: ReturnType<typeof setTimeout> | undefined;

  constructor(desk: JobDesk, jobId: string, units: Units) {
    this.#desk = desk;
    this.#jobId = jobId;
    this.#units = units;
  }

  get units(): Units {
    return this.#units;
  }

  async load(): Promise<void> {
    try {
      this.#take(await api.plan(this.#jobId));
      this.loaded = true;
    } catch (e) {
      this.#refused(e);
    }
  }

  room(roomId: string): { form: RoomForm; plan: RoomPlan | undefined } | undefined {
    const form = this.draft.rooms.find((r) => r.id === roomId) ?? this.draft.rooms[0];
    return form && { form, plan: this.report?.rooms.find((r) => r.id === form.id) };
  }

  /** The fault of a field of a room, such as {@code runs[2].length}. */
  fault(room: RoomForm, path: string): Fault | undefined {
    const at = `rooms[${this.draft.rooms.indexOf(room)}].${path}`;
    return this.problem?.faults.find((f) => f.field === at);
  }

  /** Reckons the draft a moment after the last key; what cannot be read yet leaves the drawing as it was. */
  typing(): void {
    clearTimeout(this.#echo);
    this.#echo = setTimeout(() => {
      api.echoPlan($state.snapshot(this.draft), this.#units).then(
        (report) => (this.report = report),
        () => undefined,
      );
    }, ECHO_AFTER_MS);
  }

  /** Saves the draft, if it says anything new and every room has walls enough to be one. */
  save(): Promise<void> {
    return this.#queue(async () => {
      const form = $state.snapshot(this.draft);
      const text = JSON.stringify(form);
      if (text === this.#saved) {
        this.problem = null;
      } else if (form.rooms.every((r) => r.runs.length >= 2)) {
        await this.#write((key) => api.putPlan(this.#jobId, key, this.#version, form), text);
      }
    });
  }

  step(way: 'undo' | 'redo'): Promise<void> {
    return this.#queue(async () => {
      // asked for while another write was on its way: that one says whether there is a step to take
      if (way === 'undo' ? this.canUndo : this.canRedo) {
        await this.#write((key) => api.stepPlan(this.#jobId, way, key, this.#version));
      }
    });
  }

  moveCorner(roomId: string, corner: number, x: number, y: number): Promise<void> {
    const where = { jobId: this.#jobId, roomId, corner };
    const to = place(x, y, this.#units);
    return this.#queue(() => this.#write((key) => api.moveCorner(where, key, this.#version, to)));
  }

  addZone(roomId: string, at: { x: number; y: number }, zone: ZoneForm): Promise<void> {
    const body = { roomId, in: place(at.x, at.y, this.#units), zone };
    return this.#queue(() =>
      this.#write((key) => api.addPlanZone(this.#jobId, key, this.#version, body)),
    );
  }

  walk(zoneId: string): Promise<void> {
    return this.#queue(() =>
      this.#write((key) => api.walkZone({ jobId: this.#jobId, zoneId }, key, this.#version)),
    );
  }

  /** Puts a drawing's rooms on the plan; answers what was not taken over, and what was assumed. */
  trace(drawing: {
    text: string;
    unit: string;
    roles: Record<string, string>;
  }): Promise<TracedView> {
    return this.#queue(async () => {
      try {
        const traced = await api.traceDrawing(this.#jobId, newKey(), this.#version, drawing);
        this.#take(traced.plan);
        await this.#desk.load();
        return traced;
      } catch (e) {
        await this.#seeWhatChanged(e);
        throw e;
      }
    });
  }

  /** Takes what another screen wrote, unless something here was typed and not saved. */
  async catchUp(): Promise<void> {
    if (!this.#untouched()) {
      return;
    }
    try {
      const theirs = await api.plan(this.#jobId);
      // something may have been drawn while it was on its way: that is kept, and told as stale when it is saved; and what was
      // drawn and saved meanwhile is newer than this answer
      if (theirs.version > this.#version && this.#untouched()) {
        this.#take(theirs);
      }
    } catch (e) {
      this.#refused(e);
    }
  }

  #untouched(): boolean {
    const draft = JSON.stringify($state.snapshot(this.draft));
    return this.loaded && !this.busy && draft === this.#saved;
  }

  /** Lets go of the draft and takes the plan as it is stored. */
  async takeTheirs(): Promise<void> {
    await this.load();
    this.problem = null;
  }

  #queue<T>(write: () => Promise<T>): Promise<T> {
    this.#waiting++;
    this.busy = true;
    const done = this.#last.then(write).finally(() => {
      this.#waiting--;
      this.busy = this.#waiting > 0;
    });
    // what one write was refused for is its own sender's to know; the next goes on
    this.#last = done.then(
      () => undefined,
      () => undefined,
    );
    return done;
  }

  /** @param sent the draft as it was sent; what was typed since stays */
  async #write(write: (key: string) => Promise<PlanView>, sent = ''): Promise<void> {
    clearTimeout(this.#echo);
    const before = $state.snapshot(this.draft);
    try {
      this.#take(await write(newKey()), sent, before);
      this.problem = null;
      await this.#desk.load();
    } catch (e) {
      this.#refused(e);
      await this.#seeWhatChanged(e);
    }
  }

  /** After a stale write: sending it again has seen what changed. */
  async #seeWhatChanged(e: unknown): Promise<void> {
    if (e instanceof ApiProblem && e.status === 412) {
      this.#version = (await api.plan(this.#jobId)).version;
    }
  }

  /** @param before the draft when it was asked for: what was typed since stays */
  #take(view: PlanView, sent = '', before?: PlanForm): void {
    this.#version = view.version;
    this.#saved = JSON.stringify(view.form);
    const now = $state.snapshot(this.draft);
    if (sent === '' && before && JSON.stringify(now) !== JSON.stringify(before)) {
      this.draft = mergedPlan(before, now, view.form);
      this.report = view.report;
    } else if (sent === '' || JSON.stringify($state.snapshot(this.draft)) === sent) {
      this.draft = view.form;
      this.report = view.report;
    }
    this.canUndo = view.canUndo;
    this.canRedo = view.canRedo;
  }

  #refused(e: unknown): void {
    if (!(e instanceof ApiProblem)) {
      throw e;
    }
    this.problem = e;
  }
}
