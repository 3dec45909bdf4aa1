import type { ClockNow } from '@hervir/contract';
import { Controller, Get } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Clock } from '../clock';

@ApiTags('cooks')
@Controller('api/clock')
export class ClockController {
  constructor(private readonly clock: Clock) {}

  @Get()
  @ApiOperation({ summary: 'The clock that every device of this kitchen goes by' })
  now(): ClockNow {
    return this.clock.tell();
  }
}
