import { HURRIED_MS, type Patience, address, ask, del, get, post, put, send } from './call';
import type {
  ColumnMapping,
  CycleForm,
  DeliveryForm,
  DocumentForm,
  FigureView,
  InstrumentForm,
  JobFile,
  JobForm,
  BuildUpForm,
  LayerForm,
  LeftoverForm,
  LogForm,
  OrderForm,
  PlaceForm,
  PlanForm,
  PlankForm,
  PriceForm,
  RecipeForm,
  SheetForm,
  SystemForm,
  Stages,
  StampForm,
  Units,
  WashForm,
  WeighForm,
  ZoneForm,
} from './types';

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
    stream = new EventSource(address('/api/jobs/{jobId}/changes', { jobId }));
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

export const now = () => get('/api/now', {});
export const reference = () => get('/api/reference', {});
export const rack = () => get('/api/jobs', {});

export const headPath = (jobId: string) => address('/api/jobs/{jobId}/head', { jobId });
export const logPath = (jobId: string) => address('/api/jobs/{jobId}/log', { jobId });
export const stagePath = (jobId: string, zoneId: string, stage: keyof Stages, layerId: string) =>
  stage === 'layer'
    ? address('/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}', {
        jobId,
        zoneId,
        layerId,
      })
    : address(`/api/jobs/{jobId}/zones/{zoneId}/stages/${stage}`, { jobId, zoneId });

export const head = (jobId: string) => get('/api/jobs/{jobId}/head', { in: { jobId } });

/** The working of a figure that an answer left out. @param at where it stands in it, a JSON pointer */
export const working = (path: string, at: string) =>
  ask<FigureView>(address(`${path}/working`, {}, { at }));

export const createJob = (key: string, body: JobForm) => post('/api/jobs', { key, body });

export const editJob = (jobId: string, key: string, version: number, body: JobForm) =>
  put('/api/jobs/{jobId}', { in: { jobId }, key, version, body });

export const addZone = (jobId: string, key: string, version: number, body: ZoneForm) =>
  post('/api/jobs/{jobId}/zones', { in: { jobId }, key, version, body });

interface InJob {
  jobId: string;
  zoneId: string;
}

export const editZone = (where: InJob, key: string, version: number, body: ZoneForm) =>
  put('/api/jobs/{jobId}/zones/{zoneId}', { in: where, key, version, body });

export const editLayer = (
  where: InJob & { layerId: string },
  key: string,
  version: number,
  body: LayerForm,
) => put('/api/jobs/{jobId}/zones/{zoneId}/layers/{layerId}', { in: where, key, version, body });

export const build = (where: InJob, key: string, version: number, body: BuildUpForm) =>
  put('/api/jobs/{jobId}/zones/{zoneId}/layers', { in: where, key, version, body });

export const log = (where: InJob, key: string, body: LogForm, patience?: Patience) =>
  post('/api/jobs/{jobId}/zones/{zoneId}/log', { in: where, key, body, patience });

export const beginCycle = (where: InJob, key: string, version: number, body: CycleForm) =>
  post('/api/jobs/{jobId}/zones/{zoneId}/cycles', { in: where, key, version, body });

export const takeCycleBack = (where: InJob & { number: number }, key: string, version: number) =>
  del('/api/jobs/{jobId}/zones/{zoneId}/cycles/{number}', { in: where, key, version });

/** A zone as one of its cycles left it. */
export const pastCycle = (where: InJob & { number: number }) =>
  get('/api/jobs/{jobId}/zones/{zoneId}/cycles/{number}', { in: where });

export const echoShape = (shape: string, sides: Record<string, string>, units: string) =>
  post('/api/echo/shape', { body: { shape, sides, units } });

export const plan = (jobId: string) => get('/api/jobs/{jobId}/plan', { in: { jobId } });

export const putPlan = (jobId: string, key: string, version: number, body: PlanForm) =>
  put('/api/jobs/{jobId}/plan', { in: { jobId }, key, version, body });

export const stepPlan = (jobId: string, way: 'undo' | 'redo', key: string, version: number) =>
  post(`/api/jobs/{jobId}/plan/${way}`, { in: { jobId }, key, version });

export const moveCorner = (
  where: { jobId: string; roomId: string; corner: number },
  key: string,
  version: number,
  to: PlaceForm,
) =>
  put('/api/jobs/{jobId}/plan/rooms/{roomId}/corners/{corner}', {
    in: where,
    key,
    version,
    body: { to },
  });

export const addPlanZone = (
  jobId: string,
  key: string,
  version: number,
  body: { roomId: string; in: PlaceForm; zone: ZoneForm },
) => post('/api/jobs/{jobId}/plan/zones', { in: { jobId }, key, version, body });

export const walkZone = (where: InJob, key: string, version: number) =>
  post('/api/jobs/{jobId}/zones/{zoneId}/walk', { in: where, key, version });

/** When the slab will be dry enough; nothing is stored. */
export const dryDown = (where: InJob, means: Record<string, string>) =>
  post('/api/jobs/{jobId}/zones/{zoneId}/dry-down', { in: where, body: { means } });

/** Where the tests that are asked for might be taken; nothing is stored. */
export const proposePlaces = (where: InJob) =>
  get('/api/jobs/{jobId}/zones/{zoneId}/places', { in: where });

export const sawCuts = (
  where: { jobId: string; roomId: string },
  query: { thickness: string; early: boolean },
) => get('/api/jobs/{jobId}/plan/rooms/{roomId}/saw-cuts', { in: where, query });

export const echoPlan = (form: PlanForm, units: string) =>
  post('/api/echo/plan', { body: { form, units } });

export const shelf = () => get('/api/sheets', {});
export const sheetFields = () => get('/api/sheets/fields', {});

export const addSheet = (key: string, body: SheetForm) => post('/api/sheets', { key, body });

export const editSheet = (slug: string, key: string, version: string, body: SheetForm) =>
  put('/api/sheets/{slug}', { in: { slug }, key, version, body });

export const takeOffPath = (jobId: string) => address('/api/jobs/{jobId}/take-off', { jobId });
export const takeOffFileUrl = (jobId: string, file: 'take-off.xlsx' | 'order.csv' | 'order.pdf') =>
  address(`/api/jobs/{jobId}/${file}`, { jobId });

export const buyTogether = (jobId: string, key: string, jobs: string[]) =>
  put('/api/jobs/{jobId}/together', { in: { jobId }, key, body: { jobs } });

export const placeOrder = (jobId: string, key: string, body: OrderForm) =>
  post('/api/jobs/{jobId}/orders', { in: { jobId }, key, body });

export const strikeOrder = (jobId: string, orderId: string, key: string, by: string) =>
  post('/api/jobs/{jobId}/orders/{orderId}/strike', { in: { jobId, orderId }, key, body: { by } });

export const noteDelivery = (jobId: string, key: string, body: DeliveryForm) =>
  post('/api/jobs/{jobId}/deliveries', { in: { jobId }, key, body });

export const strikeDelivery = (jobId: string, deliveryId: string, key: string, by: string) =>
  post('/api/jobs/{jobId}/deliveries/{deliveryId}/strike', {
    in: { jobId, deliveryId },
    key,
    body: { by },
  });

/** All of one colour of a sheet was poured together. */
export const noteBoxed = (
  jobId: string,
  key: string,
  body: { slug: string; colour: string; by: string },
) => post('/api/jobs/{jobId}/boxed', { in: { jobId }, key, body });

export const storeRoom = () => get('/api/store-room', {});
export const putInStore = (key: string, body: LeftoverForm) =>
  post('/api/store-room', { key, body });

/** @param jobId to whose site it goes; thrown away where there is none */
export const takeOutOfStore = (id: string, key: string, by: string, jobId?: string) =>
  post('/api/store-room/{id}/out', { in: { id }, key, body: { by, ...(jobId && { jobId }) } });

export const currency = () => get('/api/currency', {});
export const setCurrency = (key: string, code: string) =>
  put('/api/currency', { key, body: { currency: code } });

export const prices = () => get('/api/prices', {});
export const setPrices = (what: string, key: string, list: PriceForm[]) =>
  put('/api/prices/{what}', { in: { what }, key, body: { prices: list } });

export const jobFileUrl = (jobId: string) => address('/api/job-files/{jobId}', { jobId });

export const planFileUrl = (jobId: string, format: 'geojson' | 'dxf') =>
  address(`/api/plan-files/{jobId}.${format}`, { jobId });
export const planSvgUrl = (jobId: string, roomId: string, scale: number) =>
  address('/api/plan-files/{jobId}/rooms/{roomId}.svg', { jobId, roomId }, { scale });
export const levelsUrl = (jobId: string, roomId: string) =>
  address('/api/plan-files/{jobId}/rooms/{roomId}/levels.csv', { jobId, roomId });

export const layerRoles = () => get('/api/plan-files/roles', {});

export const offerDrawing = (text: string) => post('/api/plan-files/offer', { body: { text } });

export const traceDrawing = (
  jobId: string,
  key: string,
  version: number,
  body: { text: string; unit: string; roles: Record<string, string> },
) => post('/api/plan-files/{jobId}/rooms', { in: { jobId }, key, version, body });

export const readLevels = (text: string, units: string) =>
  post('/api/plan-files/levels', { body: { text, units } });

/** @param file as it was read from a disk: whether it is one of ours, the server says */
export const importJob = (key: string, file: unknown, copy: boolean) =>
  post('/api/job-files', { key, query: { copy }, body: file as JobFile });

/** What was read, spread over the floor of a zone. */
export const maps = (where: InJob) => get('/api/jobs/{jobId}/zones/{zoneId}/maps', { in: where });

export const instruments = () => get('/api/instruments', {});

export const addInstrument = (key: string, body: InstrumentForm) =>
  post('/api/instruments', { key, body });

export const editInstrument = (
  instrumentId: string,
  key: string,
  version: number,
  body: InstrumentForm,
) => put('/api/instruments/{instrumentId}', { in: { instrumentId }, key, version, body });

/** What answers at an address; nothing is stored. */
export const lookForInstrument = (at: string) =>
  post('/api/instruments/look', { body: { address: at } });

export const collect = (instrumentId: string, key: string) =>
  post('/api/instruments/{instrumentId}/collect', { in: { instrumentId }, key });

export const sent = (instrumentId: string) =>
  get('/api/instruments/{instrumentId}/samples', { in: { instrumentId } });

export const loggerChoices = () => get('/api/logger-files/choices', {});

export const sheetFileUrl = (slug: string, format: 'json' | 'csv') =>
  address(`/api/sheets/{slug}/sheet.${format}`, { slug });
/** What a CSV file of a sheet says; nothing is stored. */
export const readSheetFile = (file: Blob) => send('/api/sheets/read', {}, file, 'text/csv');

export const offerLoggerFile = (file: Blob, timeZone: string) =>
  send('/api/logger-files', { query: { timeZone } }, file, 'text/csv');

export const startLoggerFile = (fileId: string, instrumentId: string, mapping: ColumnMapping) =>
  post('/api/logger-files/{fileId}/start', {
    in: { fileId },
    body: { instrumentId, mapping },
  });

export const loggerFile = (fileId: string) => get('/api/logger-files/{fileId}', { in: { fileId } });

export const stopLoggerFile = (fileId: string) =>
  del('/api/logger-files/{fileId}', { in: { fileId } });

/** Puts a picture under an entry of the log. */
export const addPhoto = (jobId: string, entryKey: string, key: string, photo: Blob) =>
  send(
    '/api/jobs/{jobId}/log/{entryKey}/photos',
    { in: { jobId, entryKey }, key },
    photo,
    photo.type,
  );

/** Papers kept with a job. */
export const documentsPath = (jobId: string) => address('/api/jobs/{jobId}/documents', { jobId });

export const keepWithJob = (jobId: string, key: string, name: string, file: Blob) =>
  send('/api/jobs/{jobId}/documents', { in: { jobId }, key, query: { name } }, file, file.type);

export const putOfJob = (jobId: string, documentId: string, key: string, body: DocumentForm) =>
  put('/api/jobs/{jobId}/documents/{documentId}', { in: { jobId, documentId }, key, body });

/** Papers kept with a sheet of the shelf. */
export const sheetDocuments = (slug: string) =>
  get('/api/sheets/{slug}/documents', { in: { slug } });

export const keepWithSheet = (slug: string, key: string, name: string, file: Blob) =>
  send('/api/sheets/{slug}/documents', { in: { slug }, key, query: { name } }, file, file.type);

export const putOfSheet = (slug: string, documentId: string, key: string, body: DocumentForm) =>
  put('/api/sheets/{slug}/documents/{documentId}', { in: { slug, documentId }, key, body });

export const documentUrl = (documentId: string) =>
  address('/api/documents/{documentId}', { documentId });

export const photoUrl = (photoId: string) => address('/api/photos/{photoId}', { photoId });

export const readingsUrl = (jobId: string) => address('/api/readings-files/{jobId}.csv', { jobId });

export const readReadings = (jobId: string, key: string, text: string) =>
  post('/api/readings-files/{jobId}', { in: { jobId }, key, body: { text } });

export const surveyReportUrl = (jobId: string, withWorking: boolean) =>
  address('/api/survey-reports/{jobId}.pdf', { jobId }, { working: withWorking });

/** What the floor of a zone means for every build-up that might go on it. */
export const candidates = (where: InJob) =>
  get('/api/jobs/{jobId}/zones/{zoneId}/candidates', { in: where });

export const prepSheetUrl = (jobId: string, zoneId: string) =>
  address('/api/prep-sheets/{jobId}/{zoneId}.pdf', { jobId, zoneId });

export const handoverUrl = (jobId: string, zoneId: string) =>
  address('/api/handovers/{jobId}/{zoneId}.pdf', { jobId, zoneId });

/** How fast each kind of work goes, and where that is known from. */
export const systems = () => get('/api/systems', {});
export const systemFields = () => get('/api/systems/fields', {});

/** @param version the one that was edited; 0 of a new one */
export const putSystem = (key: string, version: number, body: SystemForm) =>
  put('/api/systems/{id}', { in: { id: body.id }, key, version, body });

export const practices = () => get('/api/practices', {});

export const setPractices = (key: string, practices: Record<string, string>) =>
  put('/api/practices', { key, body: { practices } });

/** @param jobId of which job; of the shop, and so of all of them, where it is empty */
export const practiceEffects = (jobId: string, practices: Record<string, string>) =>
  jobId
    ? post('/api/jobs/{jobId}/practices/effects', { in: { jobId }, body: { practices } })
    : post('/api/practices/effects', { body: { practices } });

export const paces = (units: Units) => get('/api/paces', { query: { units } });

/** @param pace as typed; empty to take it back */
export const setPace = (work: string, pace: string, units: Units) =>
  put('/api/paces/{work}', { in: { work }, key: newKey(), body: { pace, units } });

/** What is asked of a part of a measured shift. */
export const shiftFields = () => get('/api/silica-shifts', {});

/** Silica over eight hours; nothing is stored. */
export const averageShift = (spells: Record<string, string>[], units: Units) =>
  post('/api/silica-shifts', { body: { spells, units } });

interface InLayer extends InJob {
  layerId: string;
}

interface OfLayer extends InJob {
  layerId: string;
}

/** The floor in planks, as a layer is taped. */
export const layerPlanks = (where: OfLayer) =>
  get('/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}/planks', { in: where });
export const layPlanks = (where: OfLayer, key: string, version: number, body: PlankForm) =>
  put('/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}/planks', {
    in: where,
    key,
    version,
    body,
  });
/** The floor in mats, where a layer is stamped. */
export const layerStamps = (where: OfLayer) =>
  get('/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}/stamps', { in: where });
export const layStamps = (where: OfLayer, key: string, body: StampForm) =>
  put('/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}/stamps', { in: where, key, body });
export const planksUrl = (where: OfLayer, scale: number) =>
  address(
    '/api/plan-files/{jobId}/zones/{zoneId}/layers/{layerId}/planks.svg',
    { ...where },
    { scale },
  );

/** A floor in the bays that a layer is put on in. */
export const layerBays = (where: InLayer) =>
  get('/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}/bays', { in: where });

/** How a layer's material may be asked for. */
export const layerRecipeFields = (where: InLayer) =>
  get('/api/jobs/{jobId}/zones/{zoneId}/layers/{layerId}/recipe/fields', { in: where });

/** What is thrown, in so many parts alike. */
export const flakeSplit = (where: InLayer, sections: number) =>
  get('/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}/split', {
    in: where,
    query: { sections },
  });

/** What goes into each vessel of a layer's material; nothing is stored. */
export const layerRecipe = (where: InLayer, body: RecipeForm) =>
  post('/api/jobs/{jobId}/zones/{zoneId}/layers/{layerId}/recipe', { in: where, body });

/** What follows from what the scale showed; nothing is stored. */
export const layerWeighIn = (where: InLayer, body: WeighForm) =>
  post('/api/jobs/{jobId}/zones/{zoneId}/layers/{layerId}/recipe/weigh-in', {
    in: where,
    body,
    patience: HURRIED_MS,
  });

/** The same of a sheet on the shelf. */
export const sheetRecipeFields = (slug: string) =>
  get('/api/sheets/{slug}/recipe/fields', { in: { slug } });

export const sheetRecipe = (slug: string, body: RecipeForm) =>
  post('/api/sheets/{slug}/recipe', { in: { slug }, body });

/** Cleaners and acids, and what a wash is asked. */
export const washes = () => get('/api/washes', {});

/** How much of each goes into every vessel; nothing is stored. */
export const mixWash = (form: WashForm) => post('/api/washes', { body: form });
