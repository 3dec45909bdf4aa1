import { planJsonSchema } from '@hervir/contract';
import { Controller, Get } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';

@ApiTags('formats')
@Controller('api/schema')
export class FormatsController {
  @Get('braise-v1.json')
  @ApiOperation({ summary: 'JSON Schema of a plan file of version 1, which is read for ever' })
  planV1(): Record<string, unknown> {
    return planJsonSchema(1);
  }

  @Get('braise-v2.json')
  @ApiOperation({ summary: 'JSON Schema of a plan file' })
  plan(): Record<string, unknown> {
    return planJsonSchema();
  }
}
