import { speaking } from '../language/speech';
import { createSchema, faultsOf, saveSchema, type BraiseRecord, type BraiseSummary, type Read } from '@hervir/contract';
import type { Forecast, Plan } from '@hervir/core';
import {
  BadRequestException,
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  Post,
  Put,
  Res,
} from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import type { z } from 'zod';
import { Clock } from '../clock';
import { calendarOf } from '../formats/calendar';
import { recipeJsonLd, recipeMarkdown } from '../formats/recipe-out';
import { LearningService } from '../log/learning.service';
import { orBadRequest } from '../security/faults';
import { SettingsService } from '../settings/settings.service';
import { Workers } from '../workers/workers';
import { BraisesService } from './braises.service';
import { nameOf } from '../language/plan-name';
import { say } from '@hervir/language';

function head<T extends z.ZodType>(schema: T, body: unknown): z.output<T> {
  const parsed = schema.safeParse(body);
  return orBadRequest<z.output<T>>(
    parsed.success ? { ok: true, value: parsed.data } : { ok: false, faults: faultsOf(parsed.error, body) },
  );
}

/** A dish as a file is called: letters, digits and lines of any script, so that every system takes it. */
const fileName = (dish: string): string =>
  dish
    .normalize('NFC')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 80)
    .toLowerCase() || 'dinner';

/** The plan of a request body, its faults under `plan.`. */
function planOf(read: Read<Plan>): Plan {
  const under: Read<Plan> = read.ok
    ? read
    : {
        ok: false,
        faults: read.faults.map((fault) => ({ ...fault, path: fault.path === '' ? 'plan' : `plan.${fault.path}` })),
      };
  return orBadRequest(under);
}

@ApiTags('plans')
@Controller('api/braises')
export class BraisesController {
  constructor(
    private readonly braises: BraisesService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly learning: LearningService,
    private readonly workers: Workers,
  ) {}

  @Get()
  @ApiOperation({ summary: 'All plans, the last changed first' })
  list(): Promise<BraiseSummary[]> {
    return this.braises.list();
  }

  @Post()
  @ApiOperation({ summary: 'Keep a new plan; sending the same id again changes nothing' })
  async create(@Body() body: unknown): Promise<BraiseRecord> {
    const { id, plan } = head(createSchema, body);
    return this.braises.create(id, planOf(await this.workers.readPlan(plan)));
  }

  @Get(':id/recipe.jsonld')
  @Header('content-type', 'application/ld+json; charset=utf-8')
  @ApiOperation({ summary: 'The plan as a schema.org recipe' })
  async recipe(@Param('id') id: string, @Res({ passthrough: true }) response: Response): Promise<string> {
    const f = await this.reckoned(id);
    response.attachment(`${fileName(nameOf(f.plan))}.jsonld`);
    return JSON.stringify(recipeJsonLd(f, speaking()), null, 2);
  }

  @Get(':id/card.md')
  @Header('content-type', 'text/markdown; charset=utf-8')
  @ApiOperation({ summary: 'The plan as a card in Markdown' })
  async markdown(@Param('id') id: string, @Res({ passthrough: true }) response: Response): Promise<string> {
    const f = await this.reckoned(id);
    response.attachment(`${fileName(nameOf(f.plan))}.md`);
    return recipeMarkdown(f, speaking());
  }

  @Get(':id')
  @ApiOperation({ summary: 'One plan' })
  open(@Param('id') id: string): Promise<BraiseRecord> {
    return this.braises.open(id);
  }

  @Get(':id/plan.json')
  @ApiOperation({ summary: 'The plan as a file, format hervir/braise' })
  async file(@Param('id') id: string): Promise<Plan> {
    return (await this.braises.open(id)).plan;
  }

  @Get(':id/calendar.ics')
  @Header('content-type', 'text/calendar; charset=utf-8')
  @ApiOperation({ summary: 'The evening of the plan as a calendar with alarms' })
  async calendar(@Param('id') id: string, @Res({ passthrough: true }) response: Response): Promise<string> {
    const { plan, revision } = await this.braises.open(id);
    if (plan.serveAt === null) {
      throw new BadRequestException({
        faults: [
          {
            path: 'plan.serveAt',
            problem: say('braises.controller.no-time-to-eat'),
            allowed: say('braises.controller.a-plan-that-says-when'),
          },
        ],
      });
    }
    const f = await this.reckoned(id);
    response.attachment(`${fileName(nameOf(plan))}.ics`);
    return calendarOf({ id, revision }, f, this.clock.now(), speaking());
  }

  /** As it would be cooked now, with what was learnt. */
  private async reckoned(id: string): Promise<Forecast> {
    const { plan } = await this.braises.open(id);
    // Whatever is printed of it is printed in the units that are set now.
    await this.settings.read();
    return this.workers.forecast(await this.learning.apply(plan));
  }

  @Put(':id')
  @ApiOperation({ summary: 'Save a plan; refused with 409 when it was saved elsewhere since the revision named' })
  async save(@Param('id') id: string, @Body() body: unknown): Promise<BraiseRecord> {
    const { revision, plan } = head(saveSchema, body);
    return this.braises.save(id, revision, planOf(await this.workers.readPlan(plan)));
  }

  @Delete(':id')
  @ApiOperation({ summary: 'Put a plan away; it can be brought back' })
  remove(@Param('id') id: string): Promise<BraiseRecord> {
    return this.braises.setDeleted(id, true);
  }

  @Post(':id/restore')
  @HttpCode(200)
  @ApiOperation({ summary: 'Bring a plan back' })
  restore(@Param('id') id: string): Promise<BraiseRecord> {
    return this.braises.setDeleted(id, false);
  }
}
