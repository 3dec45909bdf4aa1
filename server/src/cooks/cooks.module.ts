import { Module } from '@nestjs/common';
import { BraisesModule } from '../braises/braises.module';
import { LogModule } from '../log/log.module';
import { SettingsModule } from '../settings/settings.module';
import { CooksController } from './cooks.controller';
import { CooksService } from './cooks.service';
import { CookEventsModule } from '../cook-events/cook-events.module';

@Module({
  imports: [BraisesModule, SettingsModule, CookEventsModule, LogModule],
  controllers: [CooksController],
  providers: [CooksService],
  exports: [CooksService, CookEventsModule],
})
export class CooksModule {}
