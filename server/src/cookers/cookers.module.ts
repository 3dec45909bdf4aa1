import { Module } from '@nestjs/common';
import { CookersController } from './cookers.controller';
import { CookersService } from './cookers.service';

@Module({ controllers: [CookersController], providers: [CookersService], exports: [CookersService] })
export class CookersModule {}
