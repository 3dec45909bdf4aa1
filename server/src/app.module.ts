import { EntityManager, MikroORM } from '@mikro-orm/core';
import { Global, Module, type DynamicModule } from '@nestjs/common';
import { LoggerModule } from 'nestjs-pino';
import { BackupModule } from './backup/backup.module';
import { BraisesModule } from './braises/braises.module';
import { Loops } from './background/loops';
import { PassingFiles } from './files/passing-files';
import { Clock } from './clock';
import type { Config } from './config';
import { ClockController } from './cooks/clock.controller';
import { CooksModule } from './cooks/cooks.module';
import { CookersModule } from './cookers/cookers.module';
import { DataFolder } from './database/data-folder';
import type { OpenDatabase } from './database/database';
import { Writes } from './database/writes';
import { DemoModule } from './demo/demo.module';
import { FormatsController } from './formats/formats.controller';
import { HealthController } from './health/health.controller';
import { KeptModule } from './kept/kept.module';
import { LanModule } from './lan/lan.module';
import { LogModule } from './log/log.module';
import { SimulatedCookerModule } from './simulated-cooker/simulated-cooker.module';
import { RecipesModule } from './recipes/recipes.module';
import { SettingsModule } from './settings/settings.module';
import { CONFIG } from './tokens';
import { Workers } from './workers/workers';

/** What the application is given rather than reads: its configuration and its open database. */
export interface Given {
  readonly config: Config;
  readonly database: OpenDatabase;
  readonly logLevel: string;
}

@Global()
@Module({})
class GivenModule {
  static of({ config, database: { orm, folder } }: Given): DynamicModule {
    const providers = [
      { provide: CONFIG, useValue: config },
      { provide: MikroORM, useValue: orm },
      { provide: EntityManager, useValue: orm.em },
      { provide: Clock, useValue: new Clock() },
      { provide: DataFolder, useValue: folder },
      Writes,
      Workers,
      Loops,
      PassingFiles,
    ];
    return { module: GivenModule, providers, exports: providers };
  }
}

@Module({})
export class AppModule {
  static with(given: Given): DynamicModule {
    return {
      module: AppModule,
      imports: [
        GivenModule.of(given),
        LoggerModule.forRoot({
          pinoHttp: {
            level: given.logLevel,
            // One line a failed request; the rest would bury it.
            customLogLevel: (_request, response, error) => (error || response.statusCode >= 500 ? 'error' : 'debug'),
            serializers: { req: ({ method, url }: { method: string; url: string }) => ({ method, url }) },
          },
        }),
        BraisesModule,
        CookersModule,
        KeptModule,
        SettingsModule,
        CooksModule,
        SimulatedCookerModule,
        LogModule,
        RecipesModule,
        BackupModule,
        LanModule,
        DemoModule,
      ],
      controllers: [HealthController, FormatsController, ClockController],
    };
  }
}
