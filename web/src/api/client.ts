import type {
  CandidateReport,
  ChoicesView,
  Collected,
  ColumnMapping,
  CycleForm,
  DrawingOffer,
  DryDown,
  EchoView,
  Field,
  FigureView,
  FileOffer,
  ImportProgress,
  InstrumentForm,
  InstrumentView,
  JobForm,
  JobHead,
  LayerForm,
  LevelsForm,
  LogForm,
  Logged,
  Named,
  MixView,
  NowView,
  PacesView,
  PlaceForm,
  PlanForm,
  PlanReport,
  ProposedPlace,
  PlanView,
  RackItem,
  ReadingsTaken,
  ReferenceView,
  SawCuts,
  SentView,
  SheetFieldsView,
  SheetForm,
  SheetView,
  SilicaShift,
  SurveyMap,
  TracedView,
  Units,
  WashesView,
  WashForm,
  ZoneForm,
  ZoneReport,
} from './types';

export interface Fault {
  field: string;
  value: string;
  accepted: string;
}

export interface Change {
  field: string;
  was: string;
  is: string;
}

interface ProblemBody {
  type?: string;
  detail?: string;
  remedy?: string;
  faults?: Fault[];
  changes?: Change[];
}

/** What the server declined, or why it could not be reached (status 0). */
export class ApiProblem extends Error {
  readonly status: number;
  readonly remedy: string;
  readonly faults: readonly Fault[];
  readonly changes: readonly Change[];

  constructor(status: number, body: ProblemBody) {
    super(body.detail ?? 'The server did not answer. Nothing was lost: try again.');
    this.status = status;
    this.remedy = body.remedy ?? '';
    this.faults = body.faults ?? [];
    this.changes = body.changes ?? [];
  }
}

/** What went wrong, as it is shown: whatever is not the server's own answer counts as no answer. */
export const asProblem = (e: unknown): ApiProblem =>
  e instanceof ApiProblem ? e : new ApiProblem(0, {});

/** A write's key: made once, repeated with every try of the same write. */
export const newKey = (): string => {
  const key = crypto.randomUUID();
  ours.add(key);
  return key;
};

/** Keys that were made here: what others write is told by its key. */
const ours = new Set<string>();

/**
 * Calls {@code onchange} after every write about the job that was not ours, with the zone it was about where it was about one, and once
 * the stream is open, also after a gap: what was written before that nobody told. Answers how to stop.
 */
export function watchJob(jobId: string, onchange: (zoneId: string) => void): () => void {
  let stream: EventSource | null = null;
  const open = () => {
    stream = new EventSource(`/api/jobs/${id(jobId)}/changes`);
    stream.onmessage = (event: MessageEvent<string>) => {
      const [key = '', zoneId = ''] = event.data.split(' ');
      if (!ours.has(key)) {
        onchange(zoneId);
      }
    };
    stream.onopen = () => onchange('');
  };
  // a browser keeps only a few connections, so a screen that nobody looks at gives its own back
  const look = () => {
    if (document.hidden) {
      stream?.close();
      stream = null;
    } else if (!stream) {
      open();
    }
  };
  look();
  document.addEventListener('visibilitychange', look);
  return () => {
    document.removeEventListener('visibilitychange', look);
    stream?.close();
  };
}

interface Write {
  key: string;
  version?: string | number;
  body: unknown;
}

const PATIENCE_MS = 20_000;
/** Browsers send this much on after a page is left. */
const KEPT_CHARACTERS = 30_000;

async function call<T>(method: string, path: string, write?: Write): Promise<T> {
  const headers: Record<string, string> = {};
  if (write) {
    headers['Content-Type'] = 'application/json';
    headers['Idempotency-Key'] = write.key;
    if (write.version !== undefined) {
      headers['If-Match'] = `"${write.version}"`;
    }
  }
  const body = write ? JSON.stringify(write.body) : null;
  return answered<T>(
    fetch(path, {
      method,
      headers,
      body,
      keepalive: body !== null && body.length < KEPT_CHARACTERS,
      signal: AbortSignal.timeout(PATIENCE_MS),
    }),
  );
}

/** Sends a file as it is, however long that takes. */
async function send<T>(path: string, type: string, key: string, body: Blob): Promise<T> {
  const headers = { 'Content-Type': type, 'Idempotency-Key': key };
  return answered<T>(fetch(path, { method: 'POST', headers, body }));
}

async function answered<T>(asked: Promise<Response>): Promise<T> {
  let response: Response;
  try {
    response = await asked;
  } catch {
    throw new ApiProblem(0, {});
  }
  const body = (await response.json().catch(() => ({}))) as unknown;
  if (!response.ok) {
    throw new ApiProblem(response.status, body as ProblemBody);
  }
  return body as T; // the generated types describe what this path answers
}

const id = encodeURIComponent;

export const now = (): Promise<NowView> => call('GET', '/api/now');
export const reference = (): Promise<ReferenceView> => call('GET', '/api/reference');
export const rack = (): Promise<RackItem[]> => call('GET', '/api/jobs');

export const jobPath = (jobId: string): string => `/api/jobs/${id(jobId)}`;
export const stagePath = (jobId: string, zoneId: string, stage: string): string =>
  `${jobPath(jobId)}/zones/${id(zoneId)}/stages/${stage}`;

/** An answer about a job, by its path: which it is, the caller knows. */
export const read = <T>(path: string): Promise<T> => call('GET', path);

export const head = (jobId: string): Promise<JobHead> => call('GET', `${jobPath(jobId)}/head`);

/** The working of a figure that an answer left out. @param at where it stands in it, a JSON pointer */
export const working = (path: string, at: string): Promise<FigureView> =>
  call('GET', `${path}/working?at=${id(at)}`);

export const createJob = (key: string, body: JobForm): Promise<JobHead> =>
  call('POST', '/api/jobs', { key, body });

export const editJob = (jobId: string, key: string, version: number, body: JobForm) =>
  call<JobHead>('PUT', `/api/jobs/${id(jobId)}`, { key, version, body });

export const addZone = (jobId: string, key: string, version: number, body: ZoneForm) =>
  call<JobHead>('POST', `/api/jobs/${id(jobId)}/zones`, { key, version, body });

export const editZone = (
  jobId: string,
  zoneId: string,
  key: string,
  version: number,
  body: ZoneForm,
) => call<JobHead>('PUT', `/api/jobs/${id(jobId)}/zones/${id(zoneId)}`, { key, version, body });

export const editLayer = (
  where: { jobId: string; zoneId: string; layerId: string },
  key: string,
  version: number,
  body: LayerForm,
) =>
  call<JobHead>(
    'PUT',
    `/api/jobs/${id(where.jobId)}/zones/${id(where.zoneId)}/layers/${id(where.layerId)}`,
    { key, version, body },
  );

export const log = (jobId: string, zoneId: string, key: string, body: LogForm): Promise<Logged> =>
  call('POST', `/api/jobs/${id(jobId)}/zones/${id(zoneId)}/log`, { key, body });

const cycles = (jobId: string, zoneId: string) =>
  `/api/jobs/${id(jobId)}/zones/${id(zoneId)}/cycles`;

export const beginCycle = (
  jobId: string,
  zoneId: string,
  key: string,
  version: number,
  body: CycleForm,
) => call<JobHead>('POST', cycles(jobId, zoneId), { key, version, body });

export const takeCycleBack = (
  where: { jobId: string; zoneId: string; number: number },
  key: string,
  version: number,
) =>
  call<JobHead>('DELETE', `${cycles(where.jobId, where.zoneId)}/${where.number}`, {
    key,
    version,
    body: {},
  });

/** A zone as one of its cycles left it. */
export const pastCycle = (jobId: string, zoneId: string, number: number): Promise<ZoneReport> =>
  call('GET', `${cycles(jobId, zoneId)}/${number}`);

export const echoShape = (
  shape: string,
  sides: Record<string, string>,
  units: string,
): Promise<EchoView> =>
  call('POST', '/api/echo/shape', { key: newKey(), body: { shape, sides, units } });

const planPath = (jobId: string) => `/api/jobs/${id(jobId)}/plan`;
export const plan = (jobId: string): Promise<PlanView> => call('GET', planPath(jobId));

export const putPlan = (jobId: string, key: string, version: number, body: PlanForm) =>
  call<PlanView>('PUT', planPath(jobId), { key, version, body });

export const stepPlan = (jobId: string, way: 'undo' | 'redo', key: string, version: number) =>
  call<PlanView>('POST', `${planPath(jobId)}/${way}`, { key, version, body: {} });

export const moveCorner = (
  where: { jobId: string; roomId: string; corner: number },
  key: string,
  version: number,
  to: PlaceForm,
) =>
  call<PlanView>(
    'PUT',
    `${planPath(where.jobId)}/rooms/${id(where.roomId)}/corners/${where.corner}`,
    { key, version, body: { to } },
  );

export const addPlanZone = (
  jobId: string,
  key: string,
  version: number,
  body: { roomId: string; in: PlaceForm; zone: ZoneForm },
) => call<PlanView>('POST', `${planPath(jobId)}/zones`, { key, version, body });

export const walkZone = (jobId: string, zoneId: string, key: string, version: number) =>
  call<PlanView>('POST', `/api/jobs/${id(jobId)}/zones/${id(zoneId)}/walk`, {
    key,
    version,
    body: {},
  });

/** When the slab will be dry enough; nothing is stored. */
export const dryDown = (jobId: string, zoneId: string, measures: Record<string, string>) =>
  call<DryDown>('POST', `/api/jobs/${id(jobId)}/zones/${id(zoneId)}/dry-down`, {
    key: newKey(),
    body: { measures },
  });

/** Where the tests that are asked for might be taken; nothing is stored. */
export const proposePlaces = (jobId: string, zoneId: string): Promise<ProposedPlace[]> =>
  call('GET', `/api/jobs/${id(jobId)}/zones/${id(zoneId)}/places`);

export const sawCuts = (jobId: string, roomId: string, thickness: string, early: boolean) =>
  call<SawCuts>(
    'GET',
    `${planPath(jobId)}/rooms/${id(roomId)}/saw-cuts?thickness=${id(thickness)}&early=${String(early)}`,
  );

export const echoPlan = (form: PlanForm, units: string): Promise<PlanReport> =>
  call('POST', '/api/echo/plan', { key: newKey(), body: { form, units } });

export const shelf = (): Promise<SheetView[]> => call('GET', '/api/sheets');
export const sheetFields = (): Promise<SheetFieldsView> => call('GET', '/api/sheets/fields');

export const addSheet = (key: string, body: SheetForm): Promise<SheetView> =>
  call('POST', '/api/sheets', { key, body });

export const editSheet = (slug: string, key: string, version: string, body: SheetForm) =>
  call<SheetView>('PUT', `/api/sheets/${id(slug)}`, { key, version, body });

export const jobFileUrl = (jobId: string): string => `/api/job-files/${id(jobId)}`;

const planFiles = '/api/plan-files';
export const planFileUrl = (jobId: string, format: 'geojson' | 'dxf'): string =>
  `${planFiles}/${id(jobId)}.${format}`;
export const planSvgUrl = (jobId: string, roomId: string, scale: number): string =>
  `${planFiles}/${id(jobId)}/rooms/${id(roomId)}.svg?scale=${scale}`;
export const levelsUrl = (jobId: string, roomId: string): string =>
  `${planFiles}/${id(jobId)}/rooms/${id(roomId)}/levels.csv`;

export const layerRoles = (): Promise<Named[]> => call('GET', `${planFiles}/roles`);

export const offerDrawing = (text: string): Promise<DrawingOffer> =>
  call('POST', `${planFiles}/offer`, { key: newKey(), body: { text } });

export const traceDrawing = (
  jobId: string,
  key: string,
  version: number,
  body: { text: string; unit: string; roles: Record<string, string> },
) => call<TracedView>('POST', `${planFiles}/${id(jobId)}/rooms`, { key, version, body });

export const readLevels = (text: string, units: string): Promise<LevelsForm> =>
  call('POST', `${planFiles}/levels`, { key: newKey(), body: { text, units } });

export const importJob = (key: string, file: unknown, copy: boolean): Promise<{ jobId: string }> =>
  call('POST', `/api/job-files?copy=${String(copy)}`, { key, body: file });

/** What was read, spread over the floor of a zone. */
export const maps = (jobId: string, zoneId: string): Promise<SurveyMap[]> =>
  call('GET', `/api/jobs/${id(jobId)}/zones/${id(zoneId)}/maps`);

export const instruments = (): Promise<InstrumentView[]> => call('GET', '/api/instruments');

export const addInstrument = (key: string, body: InstrumentForm): Promise<InstrumentView> =>
  call('POST', '/api/instruments', { key, body });

export const editInstrument = (
  instrumentId: string,
  key: string,
  version: number,
  body: InstrumentForm,
) => call<InstrumentView>('PUT', `/api/instruments/${id(instrumentId)}`, { key, version, body });

/** What answers at an address; nothing is stored. */
export const lookForInstrument = (address: string): Promise<InstrumentForm> =>
  call('POST', '/api/instruments/look', { key: newKey(), body: { address } });

export const collect = (instrumentId: string, key: string): Promise<Collected> =>
  call('POST', `/api/instruments/${id(instrumentId)}/collect`, { key, body: {} });

export const sent = (instrumentId: string): Promise<SentView> =>
  call('GET', `/api/instruments/${id(instrumentId)}/samples`);

const loggerFiles = '/api/logger-files';
export const loggerChoices = (): Promise<ChoicesView> => call('GET', `${loggerFiles}/choices`);

export const offerLoggerFile = (file: Blob, timeZone: string): Promise<FileOffer> =>
  send(`${loggerFiles}?timeZone=${id(timeZone)}`, 'text/csv', newKey(), file);

export const startLoggerFile = (
  fileId: string,
  instrumentId: string,
  mapping: ColumnMapping,
): Promise<ImportProgress> =>
  call('POST', `${loggerFiles}/${id(fileId)}/start`, {
    key: newKey(),
    body: { instrumentId, mapping },
  });

export const loggerFile = (fileId: string): Promise<ImportProgress> =>
  call('GET', `${loggerFiles}/${id(fileId)}`);

export const stopLoggerFile = (fileId: string): Promise<ImportProgress> =>
  call('DELETE', `${loggerFiles}/${id(fileId)}`);

/** Puts a picture under an entry of the log. */
export const addPhoto = (jobId: string, entryKey: string, key: string, photo: Blob) =>
  send<JobHead>(`/api/jobs/${id(jobId)}/log/${id(entryKey)}/photos`, photo.type, key, photo);

export const photoUrl = (photoId: string): string => `/api/photos/${id(photoId)}`;

export const readingsUrl = (jobId: string): string => `/api/readings-files/${id(jobId)}.csv`;

export const readReadings = (jobId: string, key: string, text: string): Promise<ReadingsTaken> =>
  call('POST', `/api/readings-files/${id(jobId)}`, { key, body: { text } });

export const surveyReportUrl = (jobId: string, working: boolean): string =>
  `/api/survey-reports/${id(jobId)}.pdf?working=${String(working)}`;

/** What the floor of a zone means for every build-up that might go on it. */
export const candidates = (jobId: string, zoneId: string): Promise<CandidateReport[]> =>
  call('GET', `/api/jobs/${id(jobId)}/zones/${id(zoneId)}/candidates`);

export const prepSheetUrl = (jobId: string, zoneId: string): string =>
  `/api/prep-sheets/${id(jobId)}/${id(zoneId)}.pdf`;

/** How fast each kind of work goes, and where that is known from. */
export const paces = (units: Units): Promise<PacesView> => call('GET', `/api/paces?units=${units}`);

/** @param pace as typed; empty to take it back */
export const setPace = (work: string, pace: string, units: Units): Promise<PacesView> =>
  call('PUT', `/api/paces/${id(work)}`, { key: newKey(), body: { pace, units } });

/** What is asked of a part of a measured shift. */
export const shiftFields = (): Promise<Field[]> => call('GET', '/api/silica-shifts');

/** Silica over eight hours; nothing is stored. */
export const averageShift = (
  spells: Record<string, string>[],
  units: Units,
): Promise<SilicaShift> =>
  call('POST', '/api/silica-shifts', { key: newKey(), body: { spells, units } });

/** Cleaners and acids, and what a wash is asked. */
export const washes = (): Promise<WashesView> => call('GET', '/api/washes');

/** How much of each goes into every vessel; nothing is stored. */
export const mixWash = (form: WashForm): Promise<MixView> =>
  call('POST', '/api/washes', { key: newKey(), body: form });
