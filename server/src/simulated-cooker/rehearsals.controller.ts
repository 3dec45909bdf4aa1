import { spelled } from '../language/speech';
import {
  readAct,
  readPace,
  readStartRehearsal,
  type ActAnswer,
  type Reading,
  type RehearsalNow,
  type RehearsalRecord,
  type RehearsalSummary,
} from '@hervir/contract';
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
import { concat, finalize, map, merge, of, type Observable } from 'rxjs';
import { lastEvent } from '../cooks/last-event';
import { notFound, orBadRequest } from '../security/faults';
import { Workers } from '../workers/workers';
import { RehearsalsService } from './rehearsals.service';

/** A browser that lost the stream asks again after so long, ms. */
const RETRY = 700;
const INSTRUMENTS = ['probe-meat', 'probe-liquid', 'scale'] as const;

@ApiTags('rehearsals')
@Controller('api/rehearsals')
export class RehearsalsController {
  constructor(
    private readonly rehearsals: RehearsalsService,
    private readonly workers: Workers,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Rehearsals, the last first; kept apart from real cooks' })
  list(): Promise<RehearsalSummary[]> {
    return this.rehearsals.list();
  }

  @Post()
  @ApiOperation({ summary: 'Begin a rehearsal of a plan, or an exercise; sending the same id again changes nothing' })
  async start(@Body() body: unknown): Promise<RehearsalRecord> {
    const asked = orBadRequest(readStartRehearsal(body));
    const plan = asked.plan === undefined ? null : orBadRequest(await this.workers.readPlan(asked.plan));
    return this.rehearsals.start(asked, plan);
  }

  @Get(':id')
  @ApiOperation({ summary: 'One rehearsal as it stands' })
  open(@Param('id') id: string): Promise<RehearsalRecord> {
    return this.rehearsals.open(id);
  }

  @Post(':id/acts')
  @HttpCode(200)
  @ApiOperation({ summary: 'Press, turn, throw a fault in; answers with the cooker’s reason where it does not obey' })
  act(@Param('id') id: string, @Body() body: unknown): Promise<ActAnswer> {
    return this.rehearsals.act(id, orBadRequest(readAct(body)));
  }

  @Put(':id/pace')
  @ApiOperation({ summary: 'How fast its time goes, 1 to 300 times; whether it slows for hands; paused' })
  pace(@Param('id') id: string, @Body() body: unknown): Promise<RehearsalNow> {
    const { speed, slowForHands, paused } = orBadRequest(readPace(body));
    return this.rehearsals.setPace(id, {
      ...(speed === undefined ? {} : { speed }),
      ...(slowForHands === undefined ? {} : { slowForHands }),
      ...(paused === undefined ? {} : { paused }),
    });
  }

  @Get(':id/instruments/:instrument')
  @ApiOperation({ summary: 'What the simulated probe thermometer or the kitchen scale reads now' })
  read(@Param('id') id: string, @Param('instrument') instrument: string): Promise<Reading> {
    const known = INSTRUMENTS.find((one) => one === instrument);
    if (!known) throw notFound('instrument', instrument);
    return this.rehearsals.read(id, known);
  }

  @Sse(':id/stream')
  @ApiOperation({ summary: 'Telemetry of its cooker, in order and without a gap; resumes from Last-Event-ID' })
  async stream(@Param('id') id: string, @Headers('last-event-id') last?: string): Promise<Observable<MessageEvent>> {
    const { cooker, news, now } = await this.rehearsals.follow(id);
    const leave = cooker.watch();
    const after = lastEvent(last);
    // Every message says the last frame there is on the other side by then: a stream that was cut off resumes there.
    let sent = after === null ? '' : String(after);
    const frames = cooker.telemetry(after).pipe(
      map((list) => {
        sent = String(list.at(-1)?.seq ?? sent);
        return { type: 'frames', id: sent, retry: RETRY, data: { frames: list, ...this.rehearsals.clockOf(cooker) } };
      }),
    );
    const told = concat(of(now), news).pipe(map((data) => ({ type: 'now', id: sent, data })));
    return merge(told, frames).pipe(spelled(), finalize(leave));
  }

  @Delete(':id')
  @ApiOperation({ summary: 'Throw a rehearsal away' })
  remove(@Param('id') id: string): Promise<RehearsalSummary> {
    return this.rehearsals.remove(id);
  }
}
