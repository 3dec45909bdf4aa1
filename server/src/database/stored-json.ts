import { storedGuide, storedPlan } from '@hervir/contract';
import { JsonType, type EntityProperty, type Platform } from '@mikro-orm/core';

/**
 * A column of JSON. What is in it and is none, after a disk has failed or a hand has slipped, reads as nothing: the row says
 * so where it is looked at, and the rows beside it are read.
 */
export class StoredJson extends JsonType {
  override convertToJSValue(value: unknown, platform: Platform): unknown {
    try {
      return super.convertToJSValue(value, platform);
    } catch (error) {
      if (error instanceof SyntaxError) return null;
      throw error;
    }
  }

  override getColumnType(_prop: EntityProperty, _platform: Platform): string {
    return 'json';
  }
}

/** A plan of any version, as today's. */
export class StoredPlan extends StoredJson {
  override convertToJSValue(value: unknown, platform: Platform): unknown {
    return storedPlan(super.convertToJSValue(value, platform));
  }
}

/** A guide of any version, as today's: a cook that began under an older Hervir goes on. */
export class StoredGuide extends StoredJson {
  override convertToJSValue(value: unknown, platform: Platform): unknown {
    return storedGuide(super.convertToJSValue(value, platform));
  }
}
