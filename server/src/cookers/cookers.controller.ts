import { readCooker, type StoredCooker } from '@hervir/contract';
import { Body, Controller, Delete, Get, Param, Post, Put } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { orBadRequest } from '../security/faults';
import { CookersService } from './cookers.service';

@ApiTags('cookers')
@Controller('api/cookers')
export class CookersController {
  constructor(private readonly cookers: CookersService) {}

  @Get()
  @ApiOperation({ summary: 'The pots of the kitchen, oldest first' })
  list(): Promise<StoredCooker[]> {
    return this.cookers.list();
  }

  @Post()
  @ApiOperation({ summary: 'Add a pot' })
  create(@Body() body: unknown): Promise<StoredCooker> {
    return this.cookers.create(orBadRequest(readCooker(body)));
  }

  @Put(':id')
  @ApiOperation({ summary: 'Change a pot; plans already made keep theirs' })
  save(@Param('id') id: string, @Body() body: unknown): Promise<StoredCooker> {
    return this.cookers.save(id, orBadRequest(readCooker(body)));
  }

  @Delete(':id')
  @ApiOperation({ summary: 'Take a pot away; the answer holds it, to add it again' })
  remove(@Param('id') id: string): Promise<StoredCooker> {
    return this.cookers.remove(id);
  }
}
