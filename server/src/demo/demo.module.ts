import { CookEventsModule } from '../cook-events/cook-events.module';
import { LogModule } from '../log/log.module';
import { Controller, ForbiddenException, HttpCode, Inject, Module, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Config } from '../config';
import { CONFIG } from '../tokens';
import { DemoService } from './demo.service';
import { say } from '@hervir/language';

@ApiTags('demo')
@Controller('api/demo')
export class DemoController {
  constructor(
    private readonly demo: DemoService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  @Post('reset')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put the demo kitchen back as it came; only where the server runs with --demo' })
  async reset(): Promise<{ status: 'ok' }> {
    if (!this.config.demo) {
      throw new ForbiddenException({
        faults: [
          {
            path: '',
            problem: say('demo.module.this-is-no-demo-kitchen'),
            allowed: say('demo.module.a-server-started-with-demo'),
          },
        ],
      });
    }
    await this.demo.putBack();
    return { status: 'ok' };
  }
}

@Module({
  imports: [LogModule, CookEventsModule],
  controllers: [DemoController],
  providers: [DemoService],
})
export class DemoModule {}
