import { Module } from '@nestjs/common';
import { KeptController } from './kept.controller';
import { KeptService } from './kept.service';

@Module({ controllers: [KeptController], providers: [KeptService] })
export class KeptModule {}
