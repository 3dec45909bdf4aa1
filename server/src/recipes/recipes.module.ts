import { readRecipeFile, type RecipeReading } from '@hervir/contract';
import { DEFAULT_COOKER } from '@hervir/core';
import { Body, Controller, HttpCode, Module, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { CookersModule } from '../cookers/cookers.module';
import { CookersService } from '../cookers/cookers.service';
import { LearningService } from '../log/learning.service';
import { LogModule } from '../log/log.module';
import { say } from '@hervir/language';
import { inWords } from '../language/speech';
import { orBadRequest } from '../security/faults';
import { SettingsModule } from '../settings/settings.module';
import { SettingsService } from '../settings/settings.service';
import { Workers } from '../workers/workers';

@ApiTags('recipes')
@Controller('api/recipes')
export class RecipesController {
  constructor(
    private readonly cookers: CookersService,
    private readonly settings: SettingsService,
    private readonly learning: LearningService,
    private readonly workers: Workers,
  ) {}

  @Post('read')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Read a recipe (JSON-LD, a page with it, or plain text) and make a plan of it; nothing is kept',
  })
  async read(@Body() body: unknown): Promise<RecipeReading> {
    const { text, cookerId, ...right } = orBadRequest(readRecipeFile(body));
    const [settings, cookers, learnt] = await Promise.all([
      this.settings.read(),
      this.cookers.list(),
      this.learning.list(),
    ]);
    const chosen = cookers.find(({ id }) => id === cookerId) ?? cookers[0];
    const { kitchen, confidence } = settings;
    const cooker = chosen?.cooker ?? { ...DEFAULT_COOKER, name: inWords(say('cooker-sets.electric-pot')) };
    const given = { text, right, cooker, kitchen, confidence, learnt };
    return orBadRequest(await this.workers.run('readRecipe', given));
  }
}

@Module({ imports: [CookersModule, SettingsModule, LogModule], controllers: [RecipesController] })
export class RecipesModule {}
