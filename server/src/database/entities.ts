import type { UnitSystem } from '@hervir/language';
import type {
  CookEventKind,
  CookEventPayload,
  Cooker,
  Debrief,
  ExerciseId,
  FactorKind,
  Guide,
  Kept,
  Mark,
  Observation,
  Plan,
  SimulatedSetup,
} from '@hervir/core';
import type { LogEntry, RehearsalAct, Result, Settings } from '@hervir/contract';
import { Entity, Index, PrimaryKey, Property, Unique } from '@mikro-orm/core';
import { StoredGuide, StoredJson, StoredPlan } from './stored-json';

/** A plan. */
@Entity({ tableName: 'braise' })
@Index({ properties: ['deletedAt', 'updatedAt'] })
export class BraiseEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: StoredPlan })
  plan!: Plan;

  @Property({ type: 'integer' })
  revision!: number;

  @Property({ type: 'text' })
  createdAt!: string;

  @Property({ type: 'text' })
  updatedAt!: string;

  @Property({ type: 'text', nullable: true })
  deletedAt: string | null = null;
}

/** Something cooked that is kept for another day. */
@Entity({ tableName: 'kept_dish' })
@Index({ properties: ['gone'] })
export class KeptDishEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: StoredJson })
  kept!: Kept;

  /** Beside what it is of, to look up what is still there. */
  @Property({ type: 'text', nullable: true })
  gone: Kept['gone'] = null;
}

/** A cooker of the kitchen. */
@Entity({ tableName: 'cooker' })
export class CookerEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: StoredJson })
  cooker!: Cooker;

  @Property({ type: 'text' })
  createdAt!: string;
}

/** The kitchen's settings: one row. */
@Entity({ tableName: 'settings' })
export class SettingsEntity {
  @PrimaryKey({ type: 'integer', autoincrement: false })
  id!: number;

  @Property({ type: StoredJson })
  settings!: Settings;
}

/** A cook: the plan and the guide as they were when it began. What happened is in its events. */
@Entity({ tableName: 'cook' })
@Index({ properties: ['finishedAt', 'startedAt'] })
export class CookEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: 'text', nullable: true })
  braiseId: string | null = null;

  @Property({ type: 'text' })
  name!: string;

  @Property({ type: StoredPlan })
  plan!: Plan;

  @Property({ type: StoredGuide })
  guide!: Guide;

  @Property({ type: 'text' })
  units!: UnitSystem;

  @Property({ type: 'text' })
  startedAt!: string;

  @Property({ type: 'text', nullable: true })
  finishedAt: string | null = null;

  /** What it is linked to: the simulated cooker, or nothing. */
  @Property({ type: 'text', nullable: true })
  link: 'simulated' | null = null;
}

/** One thing that happened. Only ever added. */
@Entity({ tableName: 'cook_event' })
@Index({ properties: ['cookId', 'seq'] })
export class CookEventEntity {
  /** The server's own order. */
  @PrimaryKey({ type: 'integer' })
  seq!: number;

  @Property({ type: 'text' })
  @Unique()
  id!: string;

  @Property({ type: 'text' })
  cookId!: string;

  @Property({ type: 'text' })
  kind!: CookEventKind;

  @Property({ type: 'text' })
  at!: string;

  @Property({ type: StoredJson })
  payload!: CookEventPayload;

  @Property({ type: 'text' })
  receivedAt!: string;
}

/** A device of the house that has been paired: its token is known by its hash only. */
@Entity({ tableName: 'device' })
export class DeviceEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'text' })
  pairedAt!: string;
}

/** A rehearsal: with the same setup and the same acts the same run follows, so that no more is kept. */
@Entity({ tableName: 'rehearsal' })
@Index({ properties: ['createdAt'] })
export class RehearsalEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: 'text' })
  name!: string;

  @Property({ type: 'text', nullable: true })
  exercise: ExerciseId | null = null;

  @Property({ type: StoredPlan })
  plan!: Plan;

  @Property({ type: 'text' })
  units!: UnitSystem;

  @Property({ type: StoredJson })
  setup!: SimulatedSetup;

  /** How far it has gone, seconds of its own time. */
  @Property({ type: 'double' })
  seconds!: number;

  @Property({ type: 'text' })
  createdAt!: string;

  @Property({ type: 'text', nullable: true })
  finishedAt: string | null = null;

  @Property({ type: 'text' })
  mark!: Mark;

  @Property({ type: StoredJson, nullable: true })
  debrief: Debrief | null = null;
}

/** Something done in a rehearsal, at a second of its own time. Only ever added. */
@Entity({ tableName: 'rehearsal_act' })
@Index({ properties: ['rehearsalId', 'seq'] })
export class RehearsalActEntity {
  @PrimaryKey({ type: 'integer' })
  seq!: number;

  @Property({ type: 'text' })
  rehearsalId!: string;

  @Property({ type: 'double' })
  atS!: number;

  @Property({ type: StoredJson })
  act!: RehearsalAct;
}

/** A cook in the log: its line as JSON, and beside it what is looked for and sorted by. */
@Entity({ tableName: 'log_entry' })
// Rows are large and looked through by their small columns: each question has an index that answers it alone.
@Index({ properties: ['servedAt', 'words'] })
@Index({ properties: ['cut', 'servedAt'] })
@Index({ properties: ['species', 'servedAt'] })
@Index({ properties: ['cooker', 'servedAt'] })
@Index({ properties: ['result', 'servedAt'] })
@Index({ properties: ['late', 'servedAt'] })
@Index({ properties: ['tough', 'servedAt'] })
@Index({ properties: ['grams', 'servedAt'] })
@Index({ properties: ['cut', 'result'] })
@Index({ properties: ['cut', 'trimShare', 'cookShare'] })
export class LogEntryEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  /** In UTC, so that it sorts. */
  @Property({ type: 'text' })
  servedAt!: string;

  @Property({ type: 'text' })
  cut!: string;

  @Property({ type: 'text' })
  species!: string;

  @Property({ type: 'text' })
  cooker!: string;

  @Property({ type: 'text' })
  result!: Result;

  @Property({ type: 'double', nullable: true })
  late: number | null = null;

  /** How tough this animal was against the table, by logarithm: for sorting. */
  @Property({ type: 'double', nullable: true })
  tough: number | null = null;

  @Property({ type: 'double' })
  grams!: number;

  /** Minutes to the pin over those reckoned, where it was told and nothing burnt. */
  @Property({ type: 'double', nullable: true })
  pinRatio: number | null = null;

  /** Lost in trimming, of what was bought. */
  @Property({ type: 'double', nullable: true })
  trimShare: number | null = null;

  /** Lost in cooking, of what was trimmed. */
  @Property({ type: 'double', nullable: true })
  cookShare: number | null = null;

  /** Name, cut, cooker and notes in lower case. */
  @Property({ type: 'text' })
  words!: string;

  @Property({ type: StoredJson })
  entry!: LogEntry;

  @Property({ type: StoredPlan })
  plan!: Plan;

  /** What it says of the kitchen: kept, so that learning never reads old cooks again. */
  @Property({ type: StoredJson })
  observation!: Observation;

  @Property({ type: 'boolean' })
  photo: boolean = false;
}

/** Something learnt: how likely each value of a factor is. */
@Entity({ tableName: 'learnt' })
export class LearntEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: 'text' })
  kind!: FactorKind;

  @Property({ type: 'text' })
  of!: string;

  @Property({ type: StoredJson })
  weights!: readonly number[];

  @Property({ type: 'integer' })
  cooks!: number;

  @Property({ type: 'integer' })
  short!: number;

  @Property({ type: 'integer' })
  past!: number;

  @Property({ type: 'boolean' })
  off: boolean = false;
}

export const ENTITIES = [
  BraiseEntity,
  CookerEntity,
  SettingsEntity,
  CookEntity,
  CookEventEntity,
  DeviceEntity,
  RehearsalEntity,
  RehearsalActEntity,
  LogEntryEntity,
  LearntEntity,
  KeptDishEntity,
];
