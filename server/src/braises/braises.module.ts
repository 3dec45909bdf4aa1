import { Module } from '@nestjs/common';
import { LogModule } from '../log/log.module';
import { SettingsModule } from '../settings/settings.module';
import { BraisesController } from './braises.controller';
import { BraisesService } from './braises.service';

@Module({
  imports: [SettingsModule, LogModule],
  controllers: [BraisesController],
  providers: [BraisesService],
  exports: [BraisesService],
})
export class BraisesModule {}
