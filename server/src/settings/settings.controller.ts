import { readSettings, type Settings } from '@hervir/contract';
import { Body, Controller, Get, Put } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { orBadRequest } from '../security/faults';
import { SettingsService } from './settings.service';

@ApiTags('settings')
@Controller('api/settings')
export class SettingsController {
  constructor(private readonly settings: SettingsService) {}

  @Get()
  @ApiOperation({ summary: 'Units, kitchen, confidence' })
  read(): Promise<Settings> {
    return this.settings.read();
  }

  @Put()
  @ApiOperation({ summary: 'Save them whole' })
  save(@Body() body: unknown): Promise<Settings> {
    return this.settings.save(orBadRequest(readSettings(body)));
  }
}
