import { readRecipeFile, type RecipeReading } from '@hervir/contract';
import { DEFAULT_COOKER } from '@hervir/core';
import { BadRequestException, Body, Controller, HttpCode, Module, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { CookersModule } from '../cookers/cookers.module';
import { CookersService } from '../cookers/cookers.service';
import { LearningService } from '../log/learning.service';
import { LogModule } from '../log/log.module';
import { orBadRequest } from '../security/faults';
import { SettingsModule } from '../settings/settings.module';
import { SettingsService } from '../settings/settings.service';
import { readRecipe } from './read-recipe';

@ApiTags('recipes')
@Controller('api/recipes')
export class RecipesController {
  constructor(
    private readonly cookers: CookersService,
    private readonly settings: SettingsService,
    private readonly learning: LearningService,
  ) {}

  @Post('read')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Read a recipe (JSON-LD, a page with it, or plain text) and make a plan of it; nothing is kept',
  })
  async read(@Body() body: unknown): Promise<RecipeReading> {
    const { text, cookerId, corrections } = orBadRequest(readRecipeFile(body));
    const [settings, cookers, taught] = await Promise.all([
      this.settings.read(),
      this.cookers.list(),
      this.learning.taught(),
    ]);
    const chosen = cookers.find(({ id }) => id === cookerId) ?? cookers[0];
    const given = {
      cooker: chosen?.cooker ?? DEFAULT_COOKER,
      kitchen: settings.kitchen,
      confidence: settings.confidence,
      taught,
    };
    try {
      return readRecipe(text, given, corrections);
    } catch (error) {
      // A correction that names nothing of the larder.
      if (!(error instanceof RangeError)) throw error;
      throw new BadRequestException({
        faults: [{ path: 'corrections', problem: error.message.slice(0, 200), allowed: 'something of the larder' }],
      });
    }
  }
}

@Module({ imports: [CookersModule, SettingsModule, LogModule], controllers: [RecipesController] })
export class RecipesModule {}
