import {
  createSchema,
  faultsOf,
  readPlan,
  requestSchemas,
  saveSchema,
  type BraiseRecord,
  type BraiseSummary,
  type Read,
} from '@hervir/contract';
import type { Plan } from '@hervir/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { z } from 'zod';
import { orBadRequest } from '../security/faults';
import { BraisesService } from './braises.service';

const { plan: planJsonSchema } = requestSchemas();

function head<T extends z.ZodType>(schema: T, body: unknown): z.output<T> {
  const parsed = schema.safeParse(body);
  return orBadRequest<z.output<T>>(
    parsed.success ? { ok: true, value: parsed.data } : { ok: false, faults: faultsOf(parsed.error, body) },
  );
}

/** The plan of a request body, its faults under `plan.`. */
function planOf(input: unknown): Plan {
  const read = readPlan(input);
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
  constructor(private readonly braises: BraisesService) {}

  @Get()
  @ApiOperation({ summary: 'All plans, the last changed first' })
  list(): Promise<BraiseSummary[]> {
    return this.braises.list();
  }

  @Post()
  @ApiOperation({ summary: 'Keep a new plan; sending the same id again changes nothing' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['id', 'plan'],
      properties: { id: { type: 'string', format: 'uuid' }, plan: planJsonSchema },
    },
  })
  create(@Body() body: unknown): Promise<BraiseRecord> {
    const { id, plan } = head(createSchema, body);
    return this.braises.create(id, planOf(plan));
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

  @Put(':id')
  @ApiOperation({ summary: 'Save a plan; refused with 409 when it was saved elsewhere since the revision named' })
  @ApiBody({
    schema: {
      type: 'object',
      required: ['revision', 'plan'],
      properties: { revision: { type: 'integer' }, plan: planJsonSchema },
    },
  })
  save(@Param('id') id: string, @Body() body: unknown): Promise<BraiseRecord> {
    const { revision, plan } = head(saveSchema, body);
    return this.braises.save(id, revision, planOf(plan));
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
