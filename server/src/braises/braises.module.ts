import { Module } from '@nestjs/common';
import { Clock } from '../clock';
import { BraisesController } from './braises.controller';
import { BraisesService } from './braises.service';

@Module({ controllers: [BraisesController], providers: [BraisesService, Clock], exports: [BraisesService] })
export class BraisesModule {}
