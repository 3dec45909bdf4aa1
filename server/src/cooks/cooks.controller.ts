import { spelled } from '../language/speech';
import { readEvents, readStartCook, readThrowAway, type CookRecord, type EventsAnswer } from '@hervir/contract';
import {
  Body,
  Controller,
  Delete,
  Get,
  Headers,
  HttpCode,
  Param,
  Post,
  Query,
  Sse,
  type MessageEvent,
} from '@nestjs/common';
import { ApiOperation, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { Observable } from 'rxjs';
import { orBadRequest } from '../security/faults';
import { Workers } from '../workers/workers';
import { CooksService } from './cooks.service';
import { lastEvent } from './last-event';
import { CooksStream } from '../cook-events/cooks.stream';

@ApiTags('cooks')
@Controller('api/cooks')
export class CooksController {
  constructor(
    private readonly cooks: CooksService,
    private readonly stream: CooksStream,
    private readonly workers: Workers,
  ) {}

  @Get('running')
  @ApiOperation({ summary: 'Cooks under way, each with its guide and everything that happened in it' })
  running(): Promise<CookRecord[]> {
    return this.cooks.running();
  }

  @Sse('stream')
  @ApiOperation({ summary: 'What happens in running cooks, as it happens; resumes from Last-Event-ID' })
  follow(@Headers('last-event-id') last?: string): Observable<MessageEvent> {
    return this.stream.open(lastEvent(last)).pipe(spelled());
  }

  @Post()
  @ApiOperation({
    summary: 'Begin a cook from a kept plan or one sent along; sending the same id again changes nothing',
  })
  async start(@Body() body: unknown): Promise<CookRecord> {
    const asked = orBadRequest(readStartCook(body));
    const plan = asked.plan === undefined ? null : orBadRequest(await this.workers.readPlan(asked.plan));
    return this.cooks.start(asked, plan);
  }

  @Get(':id')
  @ApiOperation({ summary: 'One cook with all its events' })
  open(@Param('id') id: string): Promise<CookRecord> {
    return this.cooks.open(id);
  }

  @Post(':id/events')
  @HttpCode(200)
  @ApiOperation({ summary: 'Tell what happened; answered only when it is on the disk' })
  happened(@Param('id') id: string, @Body() body: unknown): Promise<EventsAnswer> {
    return this.cooks.happened(id, orBadRequest(readEvents(body)));
  }

  @Delete(':id')
  @ApiOperation({ summary: 'Throw away a cook that is not to be, while no more has happened in it than was known' })
  @ApiQuery({ name: 'events', required: false, description: 'Events known, the start among them; left out, 1' })
  discard(@Param('id') id: string, @Query() query: Record<string, string>): Promise<CookRecord> {
    return this.cooks.discard(id, orBadRequest(readThrowAway(query)).events);
  }
}
