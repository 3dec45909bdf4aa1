import { printIn } from '../language/speech';
import { readSettings, settingsSchema, type Settings } from '@hervir/contract';
import { EntityManager } from '@mikro-orm/core';
import { Injectable, Logger, type OnApplicationBootstrap } from '@nestjs/common';
import { SettingsEntity } from '../database/entities';
import { Writes } from '../database/writes';

const THE_ROW = 1;
const log = new Logger('Settings');

/** What the cook sets once for the kitchen. */
@Injectable()
export class SettingsService implements OnApplicationBootstrap {
  constructor(
    private readonly em: EntityManager,
    private readonly writes: Writes,
  ) {}

  /** The first answer is in the kitchen's units already, whatever it is of. */
  async onApplicationBootstrap(): Promise<void> {
    await this.read();
  }

  /** As kept, with the defaults that have come since. */
  async read(): Promise<Settings> {
    const row = await this.em.fork().findOne(SettingsEntity, { id: THE_ROW });
    const read = readSettings(row?.settings ?? {});
    if (read.ok) {
      printIn(read.value.units);
      return read.value;
    }
    // Settings are no reason to be unreachable: those of a new kitchen stand in until they are set again.
    log.error(`stored settings cannot be read: ${read.faults.map((fault) => fault.path).join(', ')}`);
    return settingsSchema.parse({});
  }

  async save(settings: Settings): Promise<Settings> {
    await this.writes.run(async (em) => {
      const row = await em.findOne(SettingsEntity, { id: THE_ROW });
      if (row) row.settings = settings;
      else em.create(SettingsEntity, { id: THE_ROW, settings });
    });
    printIn(settings.units);
    return settings;
  }
}
