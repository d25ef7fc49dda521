import type { components } from './schema';

type Schemas = components['schemas'];

export type RackItem = Schemas['RackItem'];
export type LeadZone = Schemas['LeadZone'];
/** A job as every screen of it needs it. */
export type JobHead = Schemas['HeadView'];
export type ZoneHead = Schemas['ZoneHead'];
export type Logged = Schemas['Logged'];
export type LogBook = Schemas['LogBook'];

/** What one screen of a zone shows beside its head, by the kind of screen. */
export interface Stages {
  survey: Schemas['SurveyStage'];
  prep: Schemas['PrepStage'];
  layer: Schemas['LayerStage'];
  service: Schemas['ServiceStage'];
}
/** A zone's head, and one stage of it, as one. */
export type Staged<K extends keyof Stages> = Omit<ZoneHead, 'report'> &
  Omit<Stages[K], 'report'> & { report: ZoneHead['report'] & Stages[K]['report'] };
export type SurveyZone = Staged<'survey'>;
export type PrepZone = Staged<'prep'>;
export type LayerZone = Staged<'layer'>;
export type ServiceZone = Staged<'service'>;
export type JobForm = Schemas['JobForm'];
export type JobFile = Schemas['JobFile'];
export type ZoneForm = Schemas['ZoneForm'];
export type ZoneReport = Schemas['ZoneReport'];
export type LayerForm = Schemas['LayerForm'];
export type Buying = Schemas['Buying'];
export type LayerReport = Schemas['LayerReport'];
export type LayerView = Schemas['LayerView'];

export type LogForm = Schemas['LogForm'];
export type CycleForm = Schemas['CycleForm'];
export type CycleReport = Schemas['CycleReport'];
export type Begin = Schemas['Begin'];
export type LogView = Schemas['LogView'];
export type FigureView = Schemas['FigureView'];
export type SourceView = Schemas['SourceView'];
export type Finding = Schemas['Finding'];
export type Judgement = Schemas['Judgement'];
export type Field = Schemas['Field'];
export type DryDown = Schemas['DryDown'];
export type DryingPlace = DryDown['places'][number];
export type MarkedPlace = ZoneReport['places'][number];
export type ProposedPlace = Schemas['Proposal'];
export type MethodView = Schemas['MethodView'];
export type ReferenceView = Schemas['ReferenceView'];
export type Stratum = Schemas['Stratum'];
export type Mark = Stratum['mark'];
export type RunningClock = Schemas['RunningClock'];
export type TimedClock = Schemas['TimedClock'];
export type GateReport = Schemas['GateReport'];
export type StepReport = Schemas['StepReport'];
export type SheetView = Schemas['SheetView'];
export type SheetForm = Schemas['SheetForm'];
export type SheetFieldsView = Schemas['SheetFieldsView'];
export type PlanView = Schemas['PlanView'];
export type PlanForm = Schemas['PlanForm'];
export type FeatureView = Schemas['FeatureView'];
export type RoomField = Schemas['RoomField'];
export type RoomForm = Schemas['RoomForm'];
export type RunForm = Schemas['RunForm'];
export type PlaceForm = Schemas['PlaceForm'];
export type PlanReport = Schemas['PlanReport'];
export type RoomPlan = Schemas['RoomPlan'];
export type Corner = Schemas['Corner'];
export type LevelsForm = Schemas['LevelsForm'];
export type DrawingOffer = Schemas['Offer'];
export type TracedView = Schemas['TracedView'];
export type Named = Schemas['Named'];
export type SawCuts = Schemas['SawCuts'];
export type EchoView = Schemas['EchoView'];
export type NowView = Schemas['NowView'];
export type SurveyMap = Schemas['SurveyMap'];
export type MapGrid = Schemas['Grid'];
export type CandidateReport = Schemas['CandidateReport'];
export type JudgedArea = ZoneReport['areas'][number];
export type TestOut = ZoneReport['testsOut'][number];
export type DefectView = Schemas['DefectView'];
export type InstrumentView = Schemas['InstrumentView'];
export type InstrumentForm = Schemas['InstrumentForm'];
export type InstrumentKindView = Schemas['InstrumentKindView'];
export type SentView = Schemas['SentView'];
export type SeriesView = Schemas['SeriesView'];
export type Collected = Schemas['Collected'];
export type FileOffer = Schemas['FileOffer'];
export type ColumnMapping = Schemas['ColumnMapping'];
export type ValueColumn = Schemas['ValueColumn'];
export type ImportProgress = Schemas['Progress'];
export type WashesView = Schemas['WashesView'];
export type WashForm = Schemas['WashForm'];
export type WashMix = Schemas['WashMix'];
export type MixView = Schemas['MixView'];
export type PrepSheet = Schemas['PrepSheet'];
export type StepSheet = Schemas['StepSheet'];
export type RepairSheet = Schemas['RepairSheet'];
export type StagingThing = Schemas['Thing'];
export type Effort = Schemas['Effort'];
export type Ladder = Schemas['Ladder'];
export type PacesView = Schemas['PacesView'];
export type SilicaShift = Schemas['Shift'];
export type ReadingsTaken = Schemas['Taken'];
export type ChoicesView = Schemas['ChoicesView'];
export type Units = JobForm['units'];
