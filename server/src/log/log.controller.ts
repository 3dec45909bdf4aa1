import {
  readLearntChange,
  readLogChange,
  readLogQuery,
  readPastCook,
  readPhotoFile,
  type ImportReport,
  type LearntView,
  type LogCharts,
  type LogImport,
  type LogItem,
  type LogPage,
  type LogRecord,
} from '@hervir/contract';
import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  Post,
  Put,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { writeLogCsv } from '../formats/log-csv';
import { orBadRequest } from '../security/faults';
import { Workers } from '../workers/workers';
import { LogImports } from './imports.service';
import { LearningService } from './learning.service';
import { LogService } from './log.service';
import { PhotosService } from './photos.service';

@ApiTags('log')
@Controller('api/log')
export class LogController {
  constructor(
    private readonly log: LogService,
    private readonly photos: PhotosService,
    private readonly imports: LogImports,
    private readonly workers: Workers,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Finished cooks, by text, cut, animal, cooker, result and date, sorted, a page at a time' })
  list(@Query() query: Record<string, string>): Promise<LogPage> {
    return this.log.list(orBadRequest(readLogQuery(query)));
  }

  @Get('charts')
  @ApiOperation({ summary: 'Is my pot slow, which cuts come out tough, how late am I, how much is lost' })
  charts(): Promise<LogCharts> {
    return this.log.charts();
  }

  @Get('file.csv')
  @Header('content-type', 'text/csv; charset=utf-8')
  @Header('content-disposition', 'attachment; filename="hervir-log.csv"')
  @ApiOperation({ summary: 'The log as comma-separated values (RFC 4180)' })
  async csv(): Promise<string> {
    return writeLogCsv(await this.log.all());
  }

  @Post('file.csv')
  @HttpCode(200)
  @ApiOperation({ summary: 'Read a log in, in one go: every line, or none and what is wrong with which' })
  async readCsv(@Req() request: Request): Promise<ImportReport> {
    const { id } = await this.begin(request);
    await this.imports.settled(id);
    try {
      return await this.imports.keep(id);
    } catch (error) {
      this.imports.cancel(id);
      throw error;
    }
  }

  @Post('imports')
  @ApiOperation({ summary: 'Begin to read a log in: text/csv, or JSON that holds it; nothing is kept yet' })
  begin(@Req() request: Request): Promise<LogImport> {
    const [language = 'en'] = request.acceptsLanguages();
    return this.imports.begin(request, request.headers['content-type'] ?? '', language === '*' ? 'en' : language);
  }

  @Get('imports/:id')
  @ApiOperation({ summary: 'How far a file has been read, what is new in it, or what is wrong with it' })
  look(@Param('id') id: string): LogImport {
    return this.imports.look(id);
  }

  @Post('imports/:id/keep')
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep what is new in a file that has been read, all or nothing' })
  keepImport(@Param('id') id: string): Promise<ImportReport> {
    return this.imports.keep(id);
  }

  @Delete('imports/:id')
  @ApiOperation({ summary: 'Take a file back: nothing of it was kept' })
  cancel(@Param('id') id: string): LogImport {
    return this.imports.cancel(id);
  }

  @Get(':id/photo')
  @Header('content-type', 'image/jpeg')
  @ApiOperation({ summary: 'The photo of a cook' })
  async photo(@Param('id') id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.photos.read(id));
  }

  @Put(':id/photo')
  @ApiOperation({ summary: 'Keep a photo, a JPEG in base64; where and with what it was taken is left out' })
  async keepPhoto(@Param('id') id: string, @Body() body: unknown): Promise<LogItem> {
    const { base64 } = orBadRequest(readPhotoFile(body));
    return this.log.keepPhoto(id, Buffer.from(base64, 'base64'));
  }

  @Delete(':id/photo')
  @ApiOperation({ summary: 'Throw the photo away' })
  removePhoto(@Param('id') id: string): Promise<LogItem> {
    return this.log.removePhoto(id);
  }

  @Post()
  @ApiOperation({ summary: 'Add a past cook by hand; sending the same id again changes nothing' })
  async add(@Body() body: unknown): Promise<LogItem> {
    const asked = orBadRequest(readPastCook(body));
    return this.log.addPast(asked, orBadRequest(await this.workers.readPlan(asked.plan)));
  }

  @Get(':id')
  @ApiOperation({ summary: 'One cook with its plan and everything that happened in it' })
  open(@Param('id') id: string): Promise<LogRecord> {
    return this.log.open(id);
  }

  @Put(':id')
  @ApiOperation({ summary: 'Say how it came out, what it weighed, or a word on it' })
  change(@Param('id') id: string, @Body() body: unknown): Promise<LogItem> {
    return this.log.change(id, orBadRequest(readLogChange(body)));
  }

  @Delete(':id')
  @ApiOperation({ summary: 'Throw a cook away, with what was learnt from it' })
  remove(@Param('id') id: string): Promise<LogItem> {
    return this.log.remove(id);
  }
}

@ApiTags('log')
@Controller('api/learning')
export class LearningController {
  constructor(private readonly learning: LearningService) {}

  @Get()
  @ApiOperation({ summary: 'What the log has taught, each with the cooks it rests on' })
  list(): Promise<LearntView[]> {
    return this.learning.list();
  }

  @Put(':key')
  @ApiOperation({ summary: 'Use it or not' })
  switch(@Param('key') key: string, @Body() body: unknown): Promise<LearntView> {
    return this.learning.switch(key, orBadRequest(readLearntChange(body)).off);
  }

  @Delete(':key')
  @ApiOperation({ summary: 'Forget it: it begins again at the table' })
  reset(@Param('key') key: string): Promise<LearntView> {
    return this.learning.reset(key);
  }
}
