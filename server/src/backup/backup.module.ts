import { Module } from '@nestjs/common';
import { CookEventsModule } from '../cook-events/cook-events.module';
import { LogModule } from '../log/log.module';
import { BackupController } from './backup.controller';
import { BackupService } from './backup.service';

@Module({
  imports: [CookEventsModule, LogModule],
  controllers: [BackupController],
  providers: [BackupService],
  exports: [BackupService],
})
export class BackupModule {}
