import type { Cooker, Plan } from '@hervir/core';
import type { Settings } from '@hervir/contract';
import { Entity, Index, PrimaryKey, Property } from '@mikro-orm/core';

/** A plan. */
@Entity({ tableName: 'braise' })
@Index({ properties: ['deletedAt', 'updatedAt'] })
export class BraiseEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: 'json' })
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

/** A cooker of the kitchen. */
@Entity({ tableName: 'cooker' })
export class CookerEntity {
  @PrimaryKey({ type: 'text' })
  id!: string;

  @Property({ type: 'json' })
  cooker!: Cooker;

  @Property({ type: 'text' })
  createdAt!: string;
}

/** The kitchen's settings: one row. */
@Entity({ tableName: 'settings' })
export class SettingsEntity {
  @PrimaryKey({ type: 'integer', autoincrement: false })
  id!: number;

  @Property({ type: 'json' })
  settings!: Settings;
}

export const ENTITIES = [BraiseEntity, CookerEntity, SettingsEntity];
