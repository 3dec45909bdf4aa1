import { readKeep, readKept, type StoredKept } from '@hervir/contract';
import { Body, Controller, Get, Param, Post, Put } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { orBadRequest } from '../security/faults';
import { KeptService } from './kept.service';

@ApiTags('kept')
@Controller('api/kept')
export class KeptController {
  constructor(private readonly kept: KeptService) {}

  @Get()
  @ApiOperation({ summary: 'What is left of meals and still there' })
  list(): Promise<StoredKept[]> {
    return this.kept.list();
  }

  @Post()
  @ApiOperation({ summary: 'Keep what is left, under an id of one’s own: sent twice it is one' })
  keep(@Body() body: unknown): Promise<StoredKept> {
    return this.kept.keep(orBadRequest(readKeep(body)));
  }

  @Put(':id')
  @ApiOperation({ summary: 'Change it: another place, a meal it is for, used up or thrown away' })
  save(@Param('id') id: string, @Body() body: unknown): Promise<StoredKept> {
    return this.kept.save(id, orBadRequest(readKept(body)));
  }
}
