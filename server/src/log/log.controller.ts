import {
  readCsvFile,
  readLearntChange,
  readLogChange,
  readLogQuery,
  readPastCook,
  readPhotoFile,
  readPlan,
  type ImportReport,
  type LearntView,
  type LogCharts,
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
  StreamableFile,
} from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { readLogCsv, writeLogCsv } from '../formats/log-csv';
import { orBadRequest } from '../security/faults';
import { LearningService } from './learning.service';
import { LogService } from './log.service';
import { PhotosService } from './photos.service';

@ApiTags('log')
@Controller('api/log')
export class LogController {
  constructor(
    private readonly log: LogService,
    private readonly photos: PhotosService,
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
  @ApiOperation({ summary: 'Read a log in: every line, or none and what is wrong with which' })
  async readCsv(@Body() body: unknown): Promise<ImportReport> {
    const { text } = orBadRequest(readCsvFile(body));
    const { entries, faults } = readLogCsv(text);
    if (faults.length > 0) return { added: 0, known: 0, faults: faults.slice(0, 100) };
    const added = await this.log.addFromFile(entries);
    return { added, known: entries.length - added, faults: [] };
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
    await this.log.open(id);
    await this.photos.keep(id, Buffer.from(base64, 'base64'));
    return this.log.setPhoto(id, true);
  }

  @Delete(':id/photo')
  @ApiOperation({ summary: 'Throw the photo away' })
  async removePhoto(@Param('id') id: string): Promise<LogItem> {
    await this.photos.remove(id);
    return this.log.setPhoto(id, false);
  }

  @Post()
  @ApiOperation({ summary: 'Add a past cook by hand; sending the same id again changes nothing' })
  add(@Body() body: unknown): Promise<LogItem> {
    const asked = orBadRequest(readPastCook(body));
    return this.log.addPast(asked, orBadRequest(readPlan(asked.plan)));
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
