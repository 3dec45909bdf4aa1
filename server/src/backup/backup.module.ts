import { Module } from '@nestjs/common';
import { CooksStreamModule } from '../cooks/cooks-stream.module';
import { LogModule } from '../log/log.module';
import { BackupController } from './backup.controller';
import { BackupService } from './backup.service';

@Module({
  imports: [CooksStreamModule, LogModule],
  controllers: [BackupController],
  providers: [BackupService],
  exports: [BackupService],
})
export class BackupModule {}
