import { Module } from '@nestjs/common';
import { BraisesModule } from '../braises/braises.module';
import { CookEventsModule } from '../cook-events/cook-events.module';
import { CooksModule } from '../cooks/cooks.module';
import { LogModule } from '../log/log.module';
import { SettingsModule } from '../settings/settings.module';
import { LinkedCooks } from './linked-cooks.service';
import { LinkedCooksController } from './linked-cooks.controller';
import { RehearsalsController } from './rehearsals.controller';
import { RehearsalsService } from './rehearsals.service';

@Module({
  imports: [BraisesModule, CooksModule, CookEventsModule, LogModule, SettingsModule],
  controllers: [RehearsalsController, LinkedCooksController],
  providers: [RehearsalsService, LinkedCooks],
})
export class SimulatedCookerModule {}
