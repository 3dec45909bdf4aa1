import { EntityManager, MikroORM } from '@mikro-orm/core';
import { Global, Module, type DynamicModule } from '@nestjs/common';
import { LoggerModule } from 'nestjs-pino';
import { BraisesModule } from './braises/braises.module';
import type { Config } from './config';
import { CookersModule } from './cookers/cookers.module';
import { DemoModule } from './demo/demo.module';
import { FormatsController } from './formats/formats.controller';
import { HealthController } from './health/health.controller';
import { SettingsModule } from './settings/settings.module';
import { CONFIG } from './tokens';

/** What the application is given rather than reads: its configuration and its open database. */
export interface Given {
  readonly config: Config;
  readonly orm: MikroORM;
  readonly logLevel: string;
}

@Global()
@Module({})
class GivenModule {
  static of({ config, orm }: Given): DynamicModule {
    const providers = [
      { provide: CONFIG, useValue: config },
      { provide: MikroORM, useValue: orm },
      { provide: EntityManager, useValue: orm.em },
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
        SettingsModule,
        DemoModule,
      ],
      controllers: [HealthController, FormatsController],
    };
  }
}
