import { type Text } from '@hervir/language';
import { spelled } from '../language/speech';
import { readCookerCommand, type CookLink } from '@hervir/contract';
import {
  Body,
  Controller,
  Delete,
  Get,
  Headers,
  HttpCode,
  Param,
  Post,
  Put,
  Sse,
  type MessageEvent,
} from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { finalize, map, type Observable } from 'rxjs';
import { lastEvent } from '../cooks/last-event';
import { orBadRequest } from '../security/faults';
import { LinkedCooks } from './linked-cooks.service';

@ApiTags('cooks')
@Controller('api/cooks/:id/link')
export class LinkedCooksController {
  constructor(private readonly linked: LinkedCooks) {}

  @Get()
  @ApiOperation({ summary: 'What a cook is linked to' })
  read(@Param('id') id: string): Promise<CookLink> {
    return this.linked.linkOf(id);
  }

  @Put()
  @ApiOperation({ summary: 'Link a running cook to the simulated cooker: pin and end then come by themselves' })
  link(@Param('id') id: string): Promise<CookLink> {
    return this.linked.link(id, true);
  }

  @Delete()
  @ApiOperation({ summary: 'Let the cook go on by hand' })
  unlink(@Param('id') id: string): Promise<CookLink> {
    return this.linked.link(id, false);
  }

  @Post('commands')
  @HttpCode(200)
  @ApiOperation({ summary: 'A command to the linked cooker; answers with its reason where it does not obey' })
  async send(@Param('id') id: string, @Body() body: unknown): Promise<{ refused: Text | null }> {
    return { refused: await this.linked.send(id, orBadRequest(readCookerCommand(body))) };
  }

  @Sse('telemetry')
  @ApiOperation({ summary: 'Telemetry of the linked cooker, in order and without a gap; resumes from Last-Event-ID' })
  telemetry(@Param('id') id: string, @Headers('last-event-id') last?: string): Observable<MessageEvent> {
    const cooker = this.linked.cookerOf(id);
    const leave = cooker.watch();
    return cooker.telemetry(lastEvent(last)).pipe(
      map((frames) => ({ type: 'frames', id: String(frames.at(-1)?.seq ?? ''), data: { frames } })),
      spelled(),
      finalize(leave),
    );
  }
}
