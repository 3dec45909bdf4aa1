import { Module } from '@nestjs/common';
import { Clock } from '../clock';
import { CookersController } from './cookers.controller';
import { CookersService } from './cookers.service';

@Module({ controllers: [CookersController], providers: [CookersService, Clock], exports: [CookersService] })
export class CookersModule {}
