import { Module } from '@nestjs/common';
import { BraisesModule } from '../braises/braises.module';
import { LogModule } from '../log/log.module';
import { SettingsModule } from '../settings/settings.module';
import { CooksController } from './cooks.controller';
import { CooksService } from './cooks.service';
import { CooksStreamModule } from './cooks-stream.module';

@Module({
  imports: [BraisesModule, SettingsModule, CooksStreamModule, LogModule],
  controllers: [CooksController],
  providers: [CooksService],
  exports: [CooksService, CooksStreamModule],
})
export class CooksModule {}
