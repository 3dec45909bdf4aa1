import { Module } from '@nestjs/common';
import { CookEventsModule } from '../cook-events/cook-events.module';
import { LearningService } from './learning.service';
import { LearningController, LogController } from './log.controller';
import { LogImports } from './imports.service';
import { LogService } from './log.service';
import { PhotosService } from './photos.service';

@Module({
  imports: [CookEventsModule],
  controllers: [LogController, LearningController],
  providers: [LogService, LearningService, PhotosService, LogImports],
  exports: [LogService, LearningService, PhotosService],
})
export class LogModule {}
